import { useForm } from '@inertiajs/react';
import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';

import type { BundleRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useShared } from '../lib/page';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import { EVERY, SALES } from './SellingFields';
import ui from '../ui/ui.module.css';

export interface BundleDialogProps {
  /** Null: a new one. */
  bundle: BundleRow | null;
  /** Of the whole school, by key and name, by course. */
  offers: { group: string; items: { value: string; label: string }[] }[];
  onClose: () => void;
}

/** Several offers at one price. */
export function BundleDialog({ bundle, offers, onClose }: BundleDialogProps) {
  const { school } = useShared();
  const form = useForm({
    name: bundle?.name ?? '',
    offers: bundle?.offers ?? ([] as string[]),
    sale: bundle === null || bundle.price === null ? 'none' : bundle.price === 0 ? 'free' : 'price',
    price: bundle?.price ?? (null as number | null),
    currency: bundle?.currency ?? school.currency,
    every: bundle?.every ?? '',
  });
  const { data, errors, setData } = form;
  const keep = () => {
    form.transform((given) => ({ ...given, every: given.every === '' || given.sale !== 'price' ? null : given.every }));
    const done = { preserveScroll: true, preserveState: true, onSuccess: onClose };
    if (bundle === null) {
      form.post(to('keep.bundles'), done);
    } else {
      form.put(to('keep.bundles.change', { bundle: bundle.id }), done);
    }
  };
  return (
    <DialogForm title={bundle === null ? say('offers.bundle_dialog.a_new_bundle') : bundle.name} size={560} keep={say('keep.save')} busy={form.processing} onKeep={keep} onLeave={onClose}>
      <TextInput label={say('keep.name')} data-autofocus maxLength={100} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <MultiSelect label={say('offers.bundle_dialog.offers_each_which_gives')} data={offers} value={data.offers} searchable error={errors.offers} onChange={(chosen) => setData('offers', chosen)} />
      <div className={ui.pair}>
        <Select label={say('offers.bundle_dialog.sale')} data={SALES} value={data.sale} allowDeselect={false} error={errors.sale} onChange={(sale) => setData('sale', sale ?? 'none')} />
        {data.sale === 'price' && (
          <div className={ui.pair}>
            <NumberInput label={say('keep.price')} min={0} decimalScale={2} value={data.price ?? ''} error={errors.price} onChange={(price) => setData('price', price === '' ? null : Number(price))} />
            <TextInput label={say('offers.bundle_dialog.currency')} maxLength={3} value={data.currency} error={errors.currency} onChange={(event) => setData('currency', event.currentTarget.value.toUpperCase())} />
          </div>
        )}
      </div>
      {data.sale === 'price' && <Select label={say('offers.bundle_dialog.it_is_paid_for')} data={EVERY} value={data.every} allowDeselect={false} error={errors.every} onChange={(every) => setData('every', (every ?? '') as typeof data.every)} />}
      <p className={ui.soft}>{say('offers.bundle_dialog.this_changes_at_once')}</p>
    </DialogForm>
  );
}

import { useForm } from '@inertiajs/react';
import { NumberInput, Select, TextInput } from '@mantine/core';

import { useShared } from '../lib/page';
import type { OfferRow } from '../lib/generated/types';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';

const SALES = [
  { value: 'none', label: 'Not sold' },
  { value: 'free', label: 'Free' },
  { value: 'price', label: 'For a price' },
];

export interface Selling {
  name: string;
  sale: string;
  price: number | null;
  currency: string;
  trial: boolean;
  erases: boolean;
}

export function sellingOf(offer: OfferRow | null, currency: string): Selling {
  return {
    name: offer?.name ?? '',
    sale: offer === null || offer.price === null ? 'none' : offer.price === 0 ? 'free' : 'price',
    price: offer?.price ?? null,
    currency: offer?.currency ?? currency,
    trial: offer?.trial ?? false,
    erases: offer?.erases ?? false,
  };
}

export interface SellingFieldsProps {
  data: Selling;
  errors: Partial<Record<string, string>>;
  onSet: (changes: Partial<Selling>) => void;
}

export function SellingFields({ data, errors, onSet }: SellingFieldsProps) {
  return (
    <>
      <TextInput label="Name" data-autofocus maxLength={100} value={data.name} error={errors['name']} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <div className="pair">
        <Select label="Sale" data={SALES} value={data.sale} allowDeselect={false} error={errors['sale']} onChange={(sale) => onSet({ sale: sale ?? 'none' })} />
        {data.sale === 'price' && (
          <div className="pair">
            <NumberInput label="Price" min={0} decimalScale={2} value={data.price ?? ''} error={errors['price']} onChange={(price) => onSet({ price: price === '' ? null : Number(price) })} />
            <TextInput label="Currency" maxLength={3} value={data.currency} error={errors['currency']} onChange={(event) => onSet({ currency: event.currentTarget.value.toUpperCase() })} />
          </div>
        )}
      </div>
      <label className="tick">
        <input type="checkbox" checked={data.trial} onChange={(event) => onSet({ trial: event.currentTarget.checked })} /> it is a trial
      </label>
      <label className="tick">
        <input type="checkbox" checked={data.erases} onChange={(event) => onSet({ erases: event.currentTarget.checked })} /> some days after it has ended, what was finished is erased (left empty: it is kept for those who come back)
      </label>
    </>
  );
}

export function SellDialog({ offer, onClose }: { offer: OfferRow; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm(sellingOf(offer, school.currency));
  return (
    <DialogForm title={`The sale of ${offer.name}`} keep="Save" busy={form.processing} onKeep={() => form.put(to('keep.offers.sell', { offer: offer.id }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      <SellingFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
      <p className="soft">This changes at once. What it opens to its holders does not change by it.</p>
    </DialogForm>
  );
}

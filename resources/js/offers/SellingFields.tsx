import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';

import type { OfferRow } from '../lib/generated/types';

export const SALES = [
  { value: 'none', label: 'Not sold' },
  { value: 'free', label: 'Free' },
  { value: 'price', label: 'For a price' },
];

/** How often it is paid for. */
export const EVERY: { value: '' | 'month' | 'year'; label: string }[] = [
  { value: '', label: 'Once' },
  { value: 'month', label: 'Each month: a payment carries it on' },
  { value: 'year', label: 'Each year: a payment carries it on' },
];

const AGAIN: { value: OfferRow['again']; label: string }[] = [
  { value: 'renewal', label: 'Again, as a renewal from where theirs ends' },
  { value: 'afterwards', label: 'Again, once theirs has ended' },
  { value: 'once', label: 'Once, whatever became of their pass' },
];

/** Stands among the offers for all of them. */
const ANY = ' any pass of the course';

export interface Selling {
  name: string;
  sale: string;
  price: number | null;
  currency: string;
  trial: boolean;
  erases: boolean;
  again: OfferRow['again'];
  notAfter: string[];
  notAfterCourse: boolean;
  onlyLabel: string;
  most: number | null;
  soldFrom: string;
  soldUntil: string;
  upgradePrice: number | null;
  every: '' | 'month' | 'year';
}

export function sellingOf(offer: OfferRow | null, currency: string): Selling {
  return {
    name: offer?.name ?? '',
    sale: offer === null || offer.price === null ? 'none' : offer.price === 0 ? 'free' : 'price',
    price: offer?.price ?? null,
    currency: offer?.currency ?? currency,
    trial: offer?.trial ?? false,
    erases: offer?.erases ?? false,
    again: offer?.again ?? 'renewal',
    notAfter: offer?.notAfter ?? [],
    notAfterCourse: offer?.notAfterCourse ?? false,
    onlyLabel: offer?.onlyLabel ?? '',
    most: offer?.most ?? null,
    soldFrom: offer?.soldFrom ?? '',
    soldUntil: offer?.soldUntil ?? '',
    upgradePrice: offer?.upgradePrice ?? null,
    every: offer?.every ?? '',
  };
}

export interface SellingFieldsProps {
  data: Selling;
  errors: Partial<Record<string, string>>;
  /** Of the whole school, by key and name. */
  offers: { key: string; name: string }[];
  onSet: (changes: Partial<Selling>) => void;
}

function numberOrNull(value: number | string): number | null {
  return value === '' ? null : Number(value);
}

/** How an offer is sold, and to whom. */
export function SellingFields({ data, errors, offers, onSet }: SellingFieldsProps) {
  return (
    <>
      <TextInput label="Name" data-autofocus maxLength={100} value={data.name} error={errors['name']} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <div className="pair">
        <Select label="Sale" data={SALES} value={data.sale} allowDeselect={false} error={errors['sale']} onChange={(sale) => onSet({ sale: sale ?? 'none' })} />
        {data.sale === 'price' && (
          <div className="pair">
            <NumberInput label="Price" min={0} decimalScale={2} value={data.price ?? ''} error={errors['price']} onChange={(price) => onSet({ price: numberOrNull(price) })} />
            <TextInput label="Currency" maxLength={3} value={data.currency} error={errors['currency']} onChange={(event) => onSet({ currency: event.currentTarget.value.toUpperCase() })} />
          </div>
        )}
      </div>
      {data.sale === 'price' && <Select label="It is paid for" data={EVERY} value={data.every} allowDeselect={false} error={errors['every']} onChange={(every) => onSet({ every: (every ?? '') as Selling['every'] })} />}
      <label className="tick">
        {/* A trial is for those who are new; who thinks otherwise says so below. */}
        <input type="checkbox" checked={data.trial} onChange={(event) => onSet(event.currentTarget.checked ? { trial: true, again: 'once', notAfterCourse: true } : { trial: false })} /> it is a trial
      </label>
      <label className="tick">
        <input type="checkbox" checked={data.erases} onChange={(event) => onSet({ erases: event.currentTarget.checked })} /> some days after it has ended, what was finished is erased (left empty: it is kept for those who come back)
      </label>
      {data.sale !== 'none' && <TakerFields data={data} errors={errors} offers={offers} onSet={onSet} />}
    </>
  );
}

function TakerFields({ data, errors, offers, onSet }: SellingFieldsProps) {
  return (
    <fieldset className="takers">
      <legend>Who may take it</legend>
      <Select label="How often one person takes it" data={AGAIN} value={data.again} allowDeselect={false} error={errors['again']} onChange={(again) => onSet({ again: (again ?? 'renewal') as OfferRow['again'] })} />
      <MultiSelect
        label="Not for those who hold, or have held"
        placeholder={data.notAfter.length === 0 && !data.notAfterCourse ? 'nothing of the kind' : ''}
        data={[{ value: ANY, label: 'any other pass of the course' }, ...offers.map(({ key, name }) => ({ value: key, label: name }))]}
        value={[...(data.notAfterCourse ? [ANY] : []), ...data.notAfter]}
        searchable
        clearable
        error={errors['notAfter']}
        onChange={(chosen) => onSet({ notAfterCourse: chosen.includes(ANY), notAfter: chosen.filter((key) => key !== ANY) })}
      />
      <div className="pair">
        <TextInput label="Only for people with the label" placeholder="anybody" maxLength={60} value={data.onlyLabel} error={errors['onlyLabel']} onChange={(event) => onSet({ onlyLabel: event.currentTarget.value })} />
        <NumberInput label="For so many people at most" placeholder="any number" min={1} allowDecimal={false} value={data.most ?? ''} error={errors['most']} onChange={(most) => onSet({ most: numberOrNull(most) })} />
      </div>
      <div className="pair">
        <TextInput type="datetime-local" label="From, school time" value={data.soldFrom} error={errors['soldFrom']} onChange={(event) => onSet({ soldFrom: event.currentTarget.value })} />
        <TextInput type="datetime-local" label="Until, school time" value={data.soldUntil} error={errors['soldUntil']} onChange={(event) => onSet({ soldUntil: event.currentTarget.value })} />
      </div>
      {data.sale === 'price' && (
        <NumberInput label="Price for those who give up a lesser pass for it" placeholder="as for others" min={0} decimalScale={2} value={data.upgradePrice ?? ''} error={errors['upgradePrice']} onChange={(upgradePrice) => onSet({ upgradePrice: numberOrNull(upgradePrice) })} />
      )}
    </fieldset>
  );
}

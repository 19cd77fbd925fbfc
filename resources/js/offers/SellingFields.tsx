import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';

import type { OfferRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { WallInput } from '../ui/WallInput';
import css from './offers.module.css';
import ui from '../ui/ui.module.css';

export const SALES = [
  { value: 'none', label: say('offers.selling_fields.not_sold') },
  { value: 'free', label: say('offers.selling_fields.free') },
  { value: 'price', label: say('offers.selling_fields.for_a_price') },
];

/** How often it is paid for. */
export const EVERY: { value: '' | 'month' | 'year'; label: string }[] = [
  { value: '', label: say('offers.selling_fields.once') },
  { value: 'month', label: say('offers.selling_fields.each_month_payment_carries') },
  { value: 'year', label: say('offers.selling_fields.each_year_payment_carries') },
];

const AGAIN: { value: OfferRow['again']; label: string }[] = [
  { value: 'renewal', label: say('offers.selling_fields.again_as_renewal_from') },
  { value: 'afterwards', label: say('offers.selling_fields.again_once_theirs_has') },
  { value: 'once', label: say('offers.selling_fields.once_whatever_became_their') },
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
      <TextInput label={say('keep.name')} data-autofocus maxLength={100} value={data.name} error={errors['name']} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <div className={ui.pair}>
        <Select label={say('offers.selling_fields.sale')} data={SALES} value={data.sale} allowDeselect={false} error={errors['sale']} onChange={(sale) => onSet({ sale: sale ?? 'none' })} />
        {data.sale === 'price' && (
          <div className={ui.pair}>
            <NumberInput label={say('keep.price')} min={0} decimalScale={2} value={data.price ?? ''} error={errors['price']} onChange={(price) => onSet({ price: numberOrNull(price) })} />
            <TextInput label={say('offers.selling_fields.currency')} maxLength={3} value={data.currency} error={errors['currency']} onChange={(event) => onSet({ currency: event.currentTarget.value.toUpperCase() })} />
          </div>
        )}
      </div>
      {data.sale === 'price' && <Select label={say('offers.selling_fields.it_is_paid_for')} data={EVERY} value={data.every} allowDeselect={false} error={errors['every']} onChange={(every) => onSet({ every: (every ?? '') as Selling['every'] })} />}
      <label className={ui.tick}>
        {/* A trial is for those who are new; who thinks otherwise says so below. */}
        <input type="checkbox" checked={data.trial} onChange={(event) => onSet(event.currentTarget.checked ? { trial: true, again: 'once', notAfterCourse: true } : { trial: false })} /> {say('offers.selling_fields.is_trial')}
      </label>
      <label className={ui.tick}>
        <input type="checkbox" checked={data.erases} onChange={(event) => onSet({ erases: event.currentTarget.checked })} /> {say('offers.selling_fields.erases')}
      </label>
      {data.sale !== 'none' && <TakerFields data={data} errors={errors} offers={offers} onSet={onSet} />}
    </>
  );
}

function TakerFields({ data, errors, offers, onSet }: SellingFieldsProps) {
  return (
    <fieldset className={css.takers}>
      <legend>{say('offers.selling_fields.who_may_take_it')}</legend>
      <Select label={say('offers.selling_fields.how_often_one_person')} data={AGAIN} value={data.again} allowDeselect={false} error={errors['again']} onChange={(again) => onSet({ again: (again ?? 'renewal') as OfferRow['again'] })} />
      <MultiSelect
        label={say('offers.selling_fields.not_for_those_who')}
        placeholder={data.notAfter.length === 0 && !data.notAfterCourse ? say('offers.selling_fields.nothing_of_the_kind') : ''}
        data={[{ value: ANY, label: say('offers.selling_fields.any_other_pass_course') }, ...offers.map(({ key, name }) => ({ value: key, label: name }))]}
        value={[...(data.notAfterCourse ? [ANY] : []), ...data.notAfter]}
        searchable
        clearable
        error={errors['notAfter']}
        onChange={(chosen) => onSet({ notAfterCourse: chosen.includes(ANY), notAfter: chosen.filter((key) => key !== ANY) })}
      />
      <div className={ui.pair}>
        <TextInput label={say('offers.selling_fields.only_for_people_with')} placeholder={say('offers.selling_fields.anybody')} maxLength={60} value={data.onlyLabel} error={errors['onlyLabel']} onChange={(event) => onSet({ onlyLabel: event.currentTarget.value })} />
        <NumberInput label={say('offers.selling_fields.for_so_many_people')} placeholder={say('offers.selling_fields.any_number')} min={1} allowDecimal={false} value={data.most ?? ''} error={errors['most']} onChange={(most) => onSet({ most: numberOrNull(most) })} />
      </div>
      <div className={ui.pair}>
        <WallInput label={say('offers.selling_fields.from_school_time')} value={data.soldFrom} error={errors['soldFrom']} onWall={(wall) => onSet({ soldFrom: wall })} />
        <WallInput label={say('offers.selling_fields.until_school_time')} value={data.soldUntil} error={errors['soldUntil']} onWall={(wall) => onSet({ soldUntil: wall })} />
      </div>
      {data.sale === 'price' && (
        <NumberInput label={say('offers.selling_fields.price_for_those_who')} placeholder={say('offers.selling_fields.as_for_others')} min={0} decimalScale={2} value={data.upgradePrice ?? ''} error={errors['upgradePrice']} onChange={(upgradePrice) => onSet({ upgradePrice: numberOrNull(upgradePrice) })} />
      )}
    </fieldset>
  );
}

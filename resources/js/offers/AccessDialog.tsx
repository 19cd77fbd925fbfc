import { useForm } from '@inertiajs/react';
import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';

import { useShared } from '../lib/page';
import { withQuery } from '../lib/address';
import type { CourseOffers, OfferRow, OutlineRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { DialogForm } from '../ui/DialogForm';
import { SellingFields, sellingOf } from './SellingFields';
import { WallInput } from '../ui/WallInput';
import ui from '../ui/ui.module.css';

const LASTING = [
  { value: 'good', label: say('offers.access_dialog.for_good') },
  { value: 'days', label: say('offers.access_dialog.days_from_joining') },
  { value: 'until', label: say('offers.access_dialog.until_a_date') },
];

export function AccessDialog({ course, offer, offers, onClose }: { course: CourseOffers; offer: OfferRow | null; offers: { key: string; name: string }[]; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm({
    ...sellingOf(offer, school.currency),
    version: course.version,
    offer: offer?.key ?? '',
    tier: offer?.tier ?? '',
    plan: offer?.plan ?? '',
    scope: offer?.scope ?? [],
    labels: offer?.labels ?? '',
    lasts: offer?.lasts ?? 'good',
    days: offer?.days ?? (null as number | null),
    until: offer?.until ?? '',
  });
  const { data, errors, setData } = form;
  const { answer: rows, state } = useAsked<OutlineRow[]>(withQuery(to('keep.people.rows', { course: course.key }), { of: 'draft' }), undefined, 0);
  const loose = errors as Partial<Record<string, string>>;
  return (
    <DialogForm title={offer === null ? say('offers.access_dialog.new_offer_for_title', { title: course.title }) : say('offers.access_dialog.what_name_opens', { name: offer.name })} size={560} keep={say('keep.keep_in_the_draft')} busy={form.processing} error={loose['rule']} onKeep={() => form.post(to('keep.draft.offers', { course: course.key }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      {offer === null && <SellingFields data={data} errors={loose} offers={offers} onSet={(changes) => setData((now) => ({ ...now, ...changes }))} />}
      <div className={ui.pair}>
        <Select label={say('keep.tier')} data={[{ value: '', label: say('offers.access_dialog.none') }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} error={loose['tier']} onChange={(tier) => setData('tier', tier ?? '')} />
        <Select label={say('keep.pace')} data={[{ value: '', label: say('offers.access_dialog.all_at_once') }, ...course.plans.map((plan) => ({ value: plan, label: say('offers.access_dialog.the_plan_plan', { plan }) }))]} value={data.plan} allowDeselect={false} error={loose['plan']} onChange={(plan) => setData('plan', plan ?? '')} />
      </div>
      <MultiSelect
        label={say('offers.access_dialog.scope_left_empty_whole')}
        data={rows === null ? data.scope : rows.map(({ key, title }) => ({ value: key, label: title }))}
        value={data.scope}
        placeholder={state === 'waiting' ? say('people.act_dialog.rows_being_read') : ''}
        searchable
        clearable
        error={loose['scope']}
        onChange={(scope) => setData('scope', scope)}
      />
      <TextInput label={say('offers.access_dialog.labels_that_its_holders')} value={data.labels} error={loose['labels']} onChange={(event) => setData('labels', event.currentTarget.value)} />
      <div className={ui.pair}>
        <Select label={say('offers.access_dialog.pass_lasts')} data={LASTING} value={data.lasts} allowDeselect={false} onChange={(lasts) => setData('lasts', lasts ?? 'good')} />
        {data.lasts === 'days' && <NumberInput label={say('keep.days')} min={1} allowDecimal={false} value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />}
        {data.lasts === 'until' && <WallInput label={say('offers.access_dialog.until_school_time')} value={data.until} error={loose['until']} onWall={(wall) => setData('until', wall)} />}
      </div>
      <p className={ui.soft}>{say(offer === null ? 'offers.access_dialog.drafted_new' : 'offers.access_dialog.drafted')}</p>
    </DialogForm>
  );
}

import { useForm } from '@inertiajs/react';
import { MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';

import { useShared } from '../lib/page';
import type { CourseOffers, OfferRow } from '../lib/generated/types';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import { SellingFields, sellingOf } from './SellingFields';

const LASTING = [
  { value: 'good', label: 'For good' },
  { value: 'days', label: 'Days from joining' },
  { value: 'until', label: 'Until a date' },
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
  const loose = errors as Partial<Record<string, string>>;
  return (
    <DialogForm title={offer === null ? `A new offer for ${course.title}` : `What ${offer.name} opens`} size={560} keep="Keep in the draft" busy={form.processing} error={loose['rule']} onKeep={() => form.post(to('keep.draft.offers', { course: course.key }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      {offer === null && <SellingFields data={data} errors={loose} offers={offers} onSet={(changes) => setData((now) => ({ ...now, ...changes }))} />}
      <div className="pair">
        <Select label="Tier" data={[{ value: '', label: 'None' }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} error={loose['tier']} onChange={(tier) => setData('tier', tier ?? '')} />
        <Select label="Pace" data={[{ value: '', label: 'All at once' }, ...course.plans.map((plan) => ({ value: plan, label: `The ${plan} plan` }))]} value={data.plan} allowDeselect={false} error={loose['plan']} onChange={(plan) => setData('plan', plan ?? '')} />
      </div>
      <MultiSelect
        label="Scope (left empty: the whole course)"
        data={course.rows.map(({ key, title }) => ({ value: key, label: title }))}
        value={data.scope}
        searchable
        clearable
        error={loose['scope']}
        onChange={(scope) => setData('scope', scope)}
      />
      <TextInput label="Labels that its holders have while a pass is active, divided by commas" value={data.labels} error={loose['labels']} onChange={(event) => setData('labels', event.currentTarget.value)} />
      <div className="pair">
        <Select label="A pass of it lasts" data={LASTING} value={data.lasts} allowDeselect={false} onChange={(lasts) => setData('lasts', lasts ?? 'good')} />
        {data.lasts === 'days' && <NumberInput label="Days" min={1} allowDecimal={false} value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />}
        {data.lasts === 'until' && <TextInput type="datetime-local" label="Until, school time" value={data.until} error={loose['until']} onChange={(event) => setData('until', event.currentTarget.value)} />}
      </div>
      <p className="soft">It goes to the draft of the course{offer === null ? '; passes of it can be given once that is published.' : ', where a rehearsal shows what it does to those who hold it. How long present passes last does not change.'}</p>
    </DialogForm>
  );
}

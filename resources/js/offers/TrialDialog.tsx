import { useForm } from '@inertiajs/react';
import { NumberInput, Select, TextInput } from '@mantine/core';

import { useShared } from '../lib/page';
import { useAsked } from '../lib/useAsked';
import type { CourseOffers, TrialPreview } from '../lib/generated/types';
import { counted } from '../lib/words';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';

/** A trial without a copy of the course: an offer that lasts some days. */
export function TrialDialog({ course, onClose }: { course: CourseOffers; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm({
    version: course.version, offer: '', name: `${course.title}, ten-day trial`, sale: 'free', price: null as number | null, currency: school.currency, labels: '', trial: true, erases: false,
    tier: course.tiers[course.tiers.length - 1] ?? '', plan: '', scope: [] as string[], lasts: 'days', days: 10 as number | null, until: '',
  });
  const { data, setData } = form;
  const loose = form.errors as Partial<Record<string, string>>;
  const { answer: preview } = useAsked<TrialPreview>(to('keep.trial', { course: course.key }), { days: data.days, tier: data.tier, plan: data.plan });
  return (
    <DialogForm title={`A trial of ${course.title}`} size={560} keep="Keep in the draft" busy={form.processing} error={loose['rule']} onKeep={() => form.post(to('keep.draft.offers', { course: course.key }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      <div className="pair">
        <TextInput label="Name" maxLength={100} value={data.name} error={loose['name']} onChange={(event) => setData('name', event.currentTarget.value)} />
        <NumberInput label="Days" min={1} max={3660} allowDecimal={false} data-autofocus value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />
      </div>
      <div className="pair">
        <Select label="Tier" data={[{ value: '', label: 'None' }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} onChange={(tier) => setData('tier', tier ?? '')} />
        <Select label="Pace" data={[{ value: '', label: 'All at once' }, ...course.plans.map((plan) => ({ value: plan, label: `The ${plan} plan` }))]} value={data.plan} allowDeselect={false} onChange={(plan) => setData('plan', plan ?? '')} />
      </div>
      <fieldset className="whenlive">
        <legend>Afterwards, what was finished</legend>
        <label>
          <input type="radio" name="erases" checked={!data.erases} onChange={() => setData('erases', false)} /> is kept for those who come back
        </label>
        <label>
          <input type="radio" name="erases" checked={data.erases} onChange={() => setData('erases', true)} /> is erased
        </label>
      </fieldset>
      <div className="outcomes" role="status">
        {preview === null ? (
          <p className="soft">Looking how far one comes…</p>
        ) : (
          <>
            <details>
              <summary>
                One who finishes nothing sees <b>{preview.lazy.length}</b> of {counted(preview.lessons, 'lesson')}
              </summary>
              <p>{preview.lazy.join(', ')}</p>
            </details>
            <details>
              <summary>
                One who finishes all at once sees <b>{preview.lazy.length + preview.diligent.length}</b> of {preview.lessons}
              </summary>
              <p>{[...preview.lazy, ...preview.diligent].join(', ')}</p>
            </details>
            <p className="soft">Begun now, it would end {preview.until}. The course is not copied.</p>
          </>
        )}
      </div>
    </DialogForm>
  );
}

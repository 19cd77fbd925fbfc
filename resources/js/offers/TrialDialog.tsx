import { useForm } from '@inertiajs/react';
import { NumberInput, Select, TextInput } from '@mantine/core';

import { useShared } from '../lib/page';
import { useAsked } from '../lib/useAsked';
import type { CourseOffers, TrialPreview } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { to } from '../lib/route';
import { DialogForm } from '../ui/DialogForm';
import ui from '../ui/ui.module.css';

/** A trial without a copy of the course: an offer that lasts some days. */
export function TrialDialog({ course, onClose }: { course: CourseOffers; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm({
    version: course.version, offer: '', name: say('offers.trial_dialog.title_ten_day_trial', { title: course.title }), sale: 'free', price: null as number | null, currency: school.currency, labels: '', trial: true, erases: false,
    tier: course.tiers[course.tiers.length - 1] ?? '', plan: '', scope: [] as string[], lasts: 'days', days: 10 as number | null, until: '',
  });
  const { data, setData } = form;
  const loose = form.errors as Partial<Record<string, string>>;
  const { answer: preview } = useAsked<TrialPreview>(to('keep.trial', { course: course.key }), { days: data.days, tier: data.tier, plan: data.plan });
  return (
    <DialogForm title={say('offers.trial_dialog.a_trial_of_title', { title: course.title })} size={560} keep={say('keep.keep_in_the_draft')} busy={form.processing} error={loose['rule']} onKeep={() => form.post(to('keep.draft.offers', { course: course.key }), { preserveScroll: true, preserveState: true, onSuccess: onClose })} onLeave={onClose}>
      <div className={ui.pair}>
        <TextInput label={say('keep.name')} maxLength={100} value={data.name} error={loose['name']} onChange={(event) => setData('name', event.currentTarget.value)} />
        <NumberInput label={say('keep.days')} min={1} max={3660} allowDecimal={false} data-autofocus value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />
      </div>
      <div className={ui.pair}>
        <Select label={say('keep.tier')} data={[{ value: '', label: say('offers.trial_dialog.none') }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} onChange={(tier) => setData('tier', tier ?? '')} />
        <Select label={say('keep.pace')} data={[{ value: '', label: say('offers.trial_dialog.all_at_once') }, ...course.plans.map((plan) => ({ value: plan, label: say('offers.trial_dialog.the_plan_plan', { plan }) }))]} value={data.plan} allowDeselect={false} onChange={(plan) => setData('plan', plan ?? '')} />
      </div>
      <fieldset className={ui.whenlive}>
        <legend>{say('offers.trial_dialog.afterwards_what_was_finished')}</legend>
        <label>
          <input type="radio" name="erases" checked={!data.erases} onChange={() => setData('erases', false)} /> {say('offers.trial_dialog.kept')}
        </label>
        <label>
          <input type="radio" name="erases" checked={data.erases} onChange={() => setData('erases', true)} /> {say('offers.trial_dialog.erased')}
        </label>
      </fieldset>
      <div className={ui.outcomes} role="status">
        {preview === null ? (
          <p className={ui.soft}>{say('offers.trial_dialog.looking_how_far_one')}</p>
        ) : (
          <>
            <details>
              <summary>
                {saying('offers.trial_dialog.lazy', { seen: <b key="seen">{preview.lazy.length}</b>, lessons: preview.lessons })}
              </summary>
              <p>{preview.lazy.join(', ')}</p>
            </details>
            <details>
              <summary>
                {saying('offers.trial_dialog.diligent', { seen: <b key="seen">{preview.lazy.length + preview.diligent.length}</b>, lessons: preview.lessons })}
              </summary>
              <p>{[...preview.lazy, ...preview.diligent].join(', ')}</p>
            </details>
            <p className={ui.soft}>{say('offers.trial_dialog.begun_now_would_end', { until: preview.until })}</p>
          </>
        )}
      </div>
    </DialogForm>
  );
}

import { useForm } from '@inertiajs/react';
import { Button, NumberInput, Select, TextInput } from '@mantine/core';

import type { EventKind, Only, Step, StepKind, TriggerForm, TriggersPage, When } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { LabelField, OfferField, RowFields } from './fields';
import { StepFields, STEPS, stepCalled } from './StepFields';
import { Tried } from './Tried';
import css from './triggers.module.css';
import ui from '../ui/ui.module.css';

const EVENTS: EventKind[] = ['form-sent', 'offer-taken', 'offer-renewed', 'payment-missed', 'refunded', 'account-made', 'pass-begins', 'pass-ends-in', 'pass-ends', 'finished', 'course-finished', 'quiz-scored', 'label-given', 'label-taken', 'only-samples', 'outside-event'];

const ROWS: NonNullable<Only['row']>[] = ['done', 'not-done', 'open', 'not-open'];

export interface TriggerFields {
  version: number;
  name: string;
  when: When;
  only: Only;
  steps: Step[];
}

const EMPTY_STEP = { offer: null, course: null, item: null, label: null, days: null, subject: null, body: null, outside: null };

function fieldsOf(trigger: TriggerForm | null): TriggerFields {
  return trigger === null
    ? { version: 0, name: '', when: { event: 'finished', offer: null, course: null, item: null, label: null, days: null, from: null, to: null, form: null, system: null, type: null, band: null }, only: { label: null, notLabel: null, holds: null, notHolds: null, holdsCourse: null, row: null, course: null, item: null }, steps: [] }
    : { version: trigger.version, name: trigger.name, when: { ...trigger.when }, only: { ...trigger.only }, steps: trigger.steps.map((step) => ({ ...step })) };
}

interface Props {
  page: TriggersPage;
  /** Null: a new one. */
  trigger: TriggerForm | null;
  onLeave?: () => void;
  onLetGo?: () => void;
}

/** When, only for whom, then: and what it would do, while one types. */
export function TriggerEditor({ page, trigger, onLeave, onLetGo }: Props) {
  const form = useForm<TriggerFields>(fieldsOf(trigger));
  const { data, setData } = form;
  const errors = form.errors as Partial<Record<string, string>>;
  const disabled = !page.mayEdit;
  const setWhen = (when: Partial<When>) => setData('when', { ...data.when, ...when });
  const setStep = (index: number, step: Partial<Step>) =>
    setData(
      'steps',
      data.steps.map((one, at) => (at === index ? { ...one, ...step } : one)),
    );
  return (
    <form
      className={css.editor}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (trigger === null) {
          form.post(to('keep.triggers.make'), { onSuccess: () => onLeave?.() });
        } else {
          form.put(to('keep.triggers.change', { trigger: trigger.id }), { preserveScroll: true });
        }
      }}
    >
      <TextInput label={say('setoff.name')} description={say('setoff.name_told')} maxLength={100} disabled={disabled} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <fieldset>
        <legend>{say('setoff.when')}</legend>
        <Select aria-label={say('setoff.when')} allowDeselect={false} disabled={disabled} data={EVENTS.map((event) => ({ value: event, label: say('setoff.events', { event: event.replaceAll('-', '_') }) }))} value={data.when.event} error={errors['when.event']} onChange={(event) => setWhen({ event: event as EventKind })} />
        <EventFields page={page} when={data.when} errors={errors} disabled={disabled} onChange={setWhen} />
      </fieldset>
      <fieldset>
        <legend>{say('setoff.only')}</legend>
        <div className={css.pair}>
          <LabelField field="only.label" label={say('setoff.has_label')} labels={page.labels} value={data.only.label} error={errors['only.label']} disabled={disabled} onChange={(label) => setData('only', { ...data.only, label })} />
          <LabelField field="only.notLabel" label={say('setoff.not_label')} labels={page.labels} value={data.only.notLabel} error={errors['only.notLabel']} disabled={disabled} onChange={(notLabel) => setData('only', { ...data.only, notLabel })} />
          <OfferField field="only.holds" label={say('setoff.holds')} any={say('setoff.anybody')} offers={page.offers} value={data.only.holds} error={errors['only.holds']} disabled={disabled} onChange={(holds) => setData('only', { ...data.only, holds })} />
          <OfferField field="only.notHolds" label={say('setoff.not_holds')} any={say('setoff.anybody')} offers={page.offers} value={data.only.notHolds} error={errors['only.notHolds']} disabled={disabled} onChange={(notHolds) => setData('only', { ...data.only, notHolds })} />
          <Select
            data-field="only.holdsCourse"
            label={say('setoff.holds_course')}
            searchable
            clearable
            disabled={disabled}
            placeholder={say('setoff.anybody')}
            data={page.courses.map(({ key, title }) => ({ value: key, label: title }))}
            value={data.only.holdsCourse}
            error={errors['only.holdsCourse']}
            onChange={(holdsCourse) => setData('only', { ...data.only, holdsCourse })}
          />
          <Select
            label={say('setoff.row')}
            clearable
            disabled={disabled}
            placeholder={say('setoff.rows', { row: 'nothing' })}
            data={ROWS.map((row) => ({ value: row, label: say('setoff.rows', { row: row.replaceAll('-', '_') }) }))}
            value={data.only.row}
            error={errors['only.row']}
            onChange={(row) => setData('only', { ...data.only, row: row as Only['row'] })}
          />
        </div>
        {data.only.row !== null && <RowFields courses={page.courses} course={data.only.course} item={data.only.item} wholeCourse={false} errors={errors} at="only" disabled={disabled} onChange={(chosen) => setData('only', { ...data.only, ...chosen })} />}
      </fieldset>
      <fieldset>
        <legend>{say('setoff.then')}</legend>
        <ol className={css.steps}>
          {data.steps.map((step, index) => (
            // Steps have no name but their place.
            // oxlint-disable-next-line react/no-array-index-key
            <li key={index}>
              <div className={css.stepline}>
                <b>{stepCalled(step.do)}</b>
                {!disabled && (
                  <button type="button" className={ui.linklike} aria-label={say('setoff.step_out_of', { step: stepCalled(step.do) })} onClick={() => setData('steps', data.steps.filter((_, at) => at !== index))}>
                    {say('setoff.step_out')}
                  </button>
                )}
              </div>
              <StepFields page={page} step={step} index={index} errors={errors} disabled={disabled} onChange={(one) => setStep(index, one)} />
            </li>
          ))}
        </ol>
        {errors.steps !== undefined && <p className={ui.wrongly}>{errors.steps}</p>}
        {!disabled && <Select key={data.steps.length} label={say('setoff.add')} size="xs" searchable placeholder={say('setoff.which')} data={STEPS.map((step) => ({ value: step, label: stepCalled(step) }))} value={null} onChange={(step) => step !== null && setData('steps', [...data.steps, { ...EMPTY_STEP, do: step as StepKind }])} />}
      </fieldset>
      <Tried data={data} />
      {!disabled && (
        <div className={ui['review-acts']}>
          {trigger !== null && (
            <Button type="button" variant="default" onClick={onLetGo}>
              {say('setoff.let_go')}
            </Button>
          )}
          {trigger === null && (
            <Button type="button" variant="default" onClick={onLeave}>
              {say('setoff.leave')}
            </Button>
          )}
          <Button type="submit" loading={form.processing} disabled={trigger !== null && !form.isDirty}>
            {say(trigger === null ? 'setoff.make' : 'setoff.save')}
          </Button>
        </div>
      )}
    </form>
  );
}

interface EventFieldsProps {
  page: TriggersPage;
  when: When;
  errors: Partial<Record<string, string>>;
  disabled: boolean;
  onChange: (when: Partial<When>) => void;
}

/** What an event asks for besides. */
function EventFields({ page, when, errors, disabled, onChange }: EventFieldsProps) {
  const percent = (field: 'from' | 'to') => (
    <NumberInput data-field={`when.${field}`} label={field === 'from' ? say('setoff.from') : say('setoff.to')} {...(field === 'to' ? { description: say('setoff.to_told') } : {})} min={0} max={100} allowDecimal={false} disabled={disabled} value={when[field] ?? ''} error={errors[`when.${field}`]} onChange={(value) => onChange({ [field]: value === '' ? null : Number(value) })} />
  );
  const days = <NumberInput data-field="when.days" label={say('setoff.days_field')} min={1} max={365} allowDecimal={false} disabled={disabled} value={when.days ?? ''} error={errors['when.days']} onChange={(value) => onChange({ days: value === '' ? null : Number(value) })} />;
  const offer = <OfferField field="when.offer" label={say('setoff.offer')} any={say('setoff.any_offer')} offers={page.offers} value={when.offer} error={errors['when.offer']} disabled={disabled} onChange={(one) => onChange({ offer: one })} />;
  const row = (wholeCourse: boolean) => <RowFields courses={page.courses} course={when.course} item={when.item} wholeCourse={wholeCourse} errors={errors} at="when" disabled={disabled} onChange={(chosen) => onChange({ ...chosen, band: null })} />;
  const named = page.bands.find(({ course, item }) => course === when.course && item === when.item)?.names ?? [];
  switch (when.event) {
    case 'account-made':
      return null;
    case 'form-sent':
      return <Select data-field="when.form" label={say('setoff.form')} searchable allowDeselect={false} disabled={disabled} data={page.forms.map(({ id, name }) => ({ value: `${id}`, label: name }))} value={when.form === null ? null : `${when.form}`} error={errors['when.form']} onChange={(form) => onChange({ form: form === null ? null : Number(form) })} />;
    case 'outside-event':
      return (
        <>
          <Select data-field="when.system" label={say('setoff.system')} searchable allowDeselect={false} disabled={disabled} data={page.outsides.map(({ id, name }) => ({ value: `${id}`, label: name }))} value={when.system === null ? null : `${when.system}`} error={errors['when.system']} onChange={(system) => onChange({ system: system === null ? null : Number(system) })} />
          <TextInput data-field="when.type" label={say('setoff.type')} description={say('setoff.type_told')} maxLength={200} disabled={disabled} value={when.type ?? ''} error={errors['when.type']} onChange={(event) => onChange({ type: event.currentTarget.value })} />
        </>
      );
    case 'offer-taken':
    case 'offer-renewed':
    case 'payment-missed':
    case 'refunded':
    case 'pass-begins':
    case 'pass-ends':
      return offer;
    case 'pass-ends-in':
      return (
        <div className={css.pair}>
          {offer}
          {days}
        </div>
      );
    case 'finished':
      return row(false);
    case 'course-finished':
      return row(true);
    case 'quiz-scored':
      return (
        <>
          {row(false)}
          {named.length > 0 && <Select data-field="when.band" label={say('setoff.band')} clearable placeholder={say('setoff.band_any')} disabled={disabled} data={named} value={when.band} error={errors['when.band']} onChange={(band) => onChange(band === null ? { band } : { band, from: null, to: null })} />}
          {when.band === null && (
            <div className={css.pair}>
              {percent('from')}
              {percent('to')}
            </div>
          )}
        </>
      );
    case 'label-given':
    case 'label-taken':
      return <LabelField field="when.label" label={say('setoff.label')} labels={page.labels} value={when.label} error={errors['when.label']} disabled={disabled} onChange={(label) => onChange({ label })} />;
    case 'only-samples':
      return days;
  }
}

import { NumberInput, Select, Textarea, TextInput } from '@mantine/core';

import type { Step, StepKind, TriggersPage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { LabelField, OfferField, RowFields } from './fields';

export const STEPS: StepKind[] = ['give-pass', 'hand-out', 'give-label', 'take-label', 'extend-pass', 'pause-pass', 'end-pass', 'join-list', 'write', 'tell'];

/** What a step does, in words; patterns know no hyphen. */
export function stepCalled(step: StepKind): string {
  return say('setoff.steps', { step: step.replaceAll('-', '_') });
}

interface Props {
  page: TriggersPage;
  step: Step;
  index: number;
  errors: Partial<Record<string, string>>;
  disabled: boolean;
  onChange: (step: Partial<Step>) => void;
}

/** What a step asks for. */
export function StepFields({ page, step, index, errors, disabled, onChange }: Props) {
  const at = `steps.${index}`;
  const offer = <OfferField field={`${at}.offer`} label={say('setoff.offer')} offers={page.offers} value={step.offer} error={errors[`${at}.offer`]} disabled={disabled} onChange={(one) => onChange({ offer: one })} />;
  const label = <LabelField field={`${at}.label`} label={say('setoff.label')} labels={page.labels} value={step.label} error={errors[`${at}.label`]} disabled={disabled} onChange={(one) => onChange({ label: one })} />;
  const days = <NumberInput data-field={`${at}.days`} label={say('setoff.days_field')} placeholder={step.do === 'extend-pass' ? '' : say('setoff.for_good')} min={1} max={3650} allowDecimal={false} disabled={disabled} value={step.days ?? ''} error={errors[`${at}.days`]} onChange={(value) => onChange({ days: value === '' ? null : Number(value) })} />;
  switch (step.do) {
    case 'give-pass':
    case 'pause-pass':
    case 'end-pass':
      return offer;
    case 'extend-pass':
      return (
        <>
          {offer}
          {days}
        </>
      );
    case 'hand-out':
      return (
        <>
          <RowFields courses={page.courses} course={step.course} item={step.item} wholeCourse={false} errors={errors} at={at} disabled={disabled} onChange={onChange} />
          {days}
        </>
      );
    case 'give-label':
      return (
        <>
          {label}
          {days}
        </>
      );
    case 'join-list':
    case 'take-label':
      return label;
    case 'tell':
      return <Select data-field={`${at}.outside`} label={say('setoff.system')} searchable allowDeselect={false} disabled={disabled} data={page.outsides.map(({ id, name }) => ({ value: `${id}`, label: name }))} value={step.outside === null ? null : `${step.outside}`} error={errors[`${at}.outside`]} onChange={(one) => onChange({ outside: one === null ? null : Number(one) })} />;
    case 'write':
      return (
        <>
          <TextInput data-field={`${at}.subject`} label={say('setoff.subject')} maxLength={200} disabled={disabled} value={step.subject ?? ''} error={errors[`${at}.subject`]} onChange={(event) => onChange({ subject: event.currentTarget.value })} />
          <Textarea label={say('setoff.body')} description={say('setoff.body_told', { name: '{name}' })} autosize minRows={3} maxRows={10} maxLength={10000} disabled={disabled} value={step.body ?? ''} error={errors[`${at}.body`]} onChange={(event) => onChange({ body: event.currentTarget.value })} />
        </>
      );
  }
}

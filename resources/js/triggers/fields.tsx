import { Autocomplete, Select } from '@mantine/core';

import type { OutlineRow, TriggersPage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './triggers.module.css';

interface FieldProps {
  /** By which a word of the sentence finds it. */
  field: string;
  label: string;
  value: string | null;
  error: string | undefined;
  disabled: boolean;
  onChange: (value: string | null) => void;
}

export function OfferField({ field, label, any, offers, value, error, disabled, onChange }: FieldProps & { any?: string; offers: TriggersPage['offers'] }) {
  return <Select data-field={field} label={label} searchable clearable={any !== undefined} {...(any === undefined ? {} : { placeholder: any })} allowDeselect={any !== undefined} disabled={disabled} data={offers.map(({ key, title }) => ({ value: key, label: title }))} value={value} error={error} onChange={onChange} />;
}

/** A known label, or any other. */
export function LabelField({ field, label, labels, value, error, disabled, onChange }: FieldProps & { labels: string[] }) {
  return <Autocomplete data-field={field} label={label} maxLength={100} data={labels} disabled={disabled} value={value ?? ''} error={error} onChange={(typed) => onChange(typed === '' ? null : typed)} />;
}

interface RowFieldsProps {
  courses: TriggersPage['courses'];
  course: string | null;
  item: string | null;
  /** Whether it is about the course as a whole. */
  wholeCourse: boolean;
  errors: Partial<Record<string, string>>;
  /** Before the names of its fields. */
  at: string;
  disabled: boolean;
  onChange: (row: { course?: string | null; item?: string | null }) => void;
}

/** A row of a course. */
export function RowFields({ courses, course, item, wholeCourse, errors, at, disabled, onChange }: RowFieldsProps) {
  const { answer, state } = useAsked<OutlineRow[]>(wholeCourse || course === null ? null : to('keep.people.rows', { course }), undefined, 0);
  const rows = answer ?? [];
  return (
    <div className={css.pair}>
      <Select data-field={`${at}.course`} label={say('setoff.course')} searchable allowDeselect={false} disabled={disabled} data={courses.map(({ key, title }) => ({ value: key, label: title }))} value={course} error={errors[`${at}.course`]} onChange={(one) => onChange({ course: one, item: null })} />
      {!wholeCourse && (
        <Select data-field={`${at}.item`} label={say('setoff.item')} searchable allowDeselect={false} disabled={disabled || course === null} placeholder={state === 'waiting' ? say('people.act_dialog.rows_being_read') : ''} data={rows.map(({ key, title, depth }) => ({ value: key, label: `${'\u2003'.repeat(depth)}${title}` }))} value={item} error={errors[`${at}.item`]} onChange={(one) => onChange({ item: one })} />
      )}
    </div>
  );
}

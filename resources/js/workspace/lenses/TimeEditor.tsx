import { NumberInput, Select } from '@mantine/core';
import { useForm } from '@inertiajs/react';
import type { ReactNode } from 'react';
import { RuleHelp } from '../RuleHelp';

import { openings } from '../../lib/generated/rules';
import type { OpeningKind, OpeningRule } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';
import { WallInput } from '../../ui/WallInput';

const KINDS = Object.keys(openings) as OpeningKind[];

const RULES = {
  opens: [{ value: '', label: say('lenses.time_editor.with_what_stands_in') }, ...KINDS.map((value) => ({ value: value as string, label: say(`rules.opens.${value}.called`) }))],
  closes: [
    { value: '', label: say('lenses.time_editor.never_or_with_what') },
    { value: 'on', label: say('lenses.time_editor.on_a_date') },
    { value: 'after_open', label: say('lenses.time_editor.days_after_it_opened') },
  ],
};

const WEEKDAYS = [say('lenses.time_editor.monday'), say('lenses.time_editor.tuesday'), say('lenses.time_editor.wednesday'), say('lenses.time_editor.thursday'), say('lenses.time_editor.friday'), say('lenses.time_editor.saturday'), say('lenses.time_editor.sunday')].map((label, index) => ({
  value: String(index + 1),
  label: say('lenses.time_editor.on_the_next_label', { label }),
}));

export interface TimeEditorProps {
  course: string;
  /** Of the draft as it is shown. */
  version: number;
  which: 'opens' | 'closes';
  plan: string;
  /** The rows that are set, by key. */
  items: string[];
  /** One row's title, or how many they are. */
  title: string;
  /** Left out: no rule of its own. */
  rule: OpeningRule | undefined;
  onClose: () => void;
  /** The cell that is edited. */
  children: ReactNode;
}

/** Edits when rows open or close, in the cell. What is kept goes to the draft. */
export function TimeEditor({ course, version, which, plan, items, title, rule, onClose, children }: TimeEditorProps) {
  const form = useForm({
    version,
    set: which,
    plan,
    items,
    rule: rule?.rule ?? '',
    at: rule?.at ?? '',
    days: rule?.days ?? (null as number | null),
    time: rule?.time ?? '',
    weekday: rule?.weekday === null || rule?.weekday === undefined ? '' : String(rule.weekday),
  });
  const { setData, data, errors } = form;

  const named = { title, many: items.length > 1 ? 'yes' : 'no' };
  const kind = which === 'opens' ? KINDS.find((one) => one === data.rule) : undefined;
  const takes: readonly string[] = kind !== undefined ? openings[kind] : data.rule === 'on' ? ['at'] : data.rule === 'after_open' ? ['days'] : [];
  const submit = () => form.post(to('keep.draft.edit', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  return (
    <EditorShell label={say(which === 'opens' ? 'lenses.time_editor.form_opens' : 'lenses.time_editor.form_closes', named)} width={300} busy={form.processing} dirty={form.isDirty} onSubmit={submit} onClose={onClose} target={children}>
      <RuleHelp of={which} title={title} />
      <Select
        label={say(which === 'opens' ? 'lenses.time_editor.whose_opens' : 'lenses.time_editor.whose_closes', named)}
        data={RULES[which]}
        value={data.rule}
        allowDeselect={false}
        error={errors.rule}
        comboboxProps={{ withinPortal: false }}
        onChange={(name) => setData('rule', name ?? '')}
      />
      {takes.includes('at') && (
        <WallInput
          label={say('keep.date_and_time_school')}
          value={data.at}
          error={errors.at}
          onWall={(wall) => setData('at', wall)}
        />
      )}
      {takes.includes('days') && (
        <NumberInput
          label={say('keep.days')}
          min={0}
          allowDecimal={false}
          value={data.days ?? ''}
          error={errors.days}
          onChange={(days) => setData('days', days === '' ? null : Number(days))}
        />
      )}
      {takes.includes('time') && (
        <>
          <WallInput
            of="clock"
            label={say('lenses.time_editor.at_left_empty_at')}
            value={data.time}
            error={errors.time}
            onWall={(wall) => setData('time', wall)}
          />
          <Select
            label={say('lenses.time_editor.weekday')}
            data={[{ value: '', label: say('lenses.time_editor.any_day') }, ...WEEKDAYS]}
            value={data.weekday}
            allowDeselect={false}
            error={errors.weekday}
            comboboxProps={{ withinPortal: false }}
            onChange={(weekday) => setData('weekday', weekday ?? '')}
          />
        </>
      )}
    </EditorShell>
  );
}

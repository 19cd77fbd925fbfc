import { useForm } from '@inertiajs/react';
import { Checkbox, MultiSelect, NumberInput, Select } from '@mantine/core';
import type { ReactNode } from 'react';

import type { AfterRule, OutlineRow } from '../../lib/generated/types';
import { EditorShell } from '../EditorShell';
import { to } from '../../lib/route';

export interface AfterEditorProps {
  course: string;
  version: number;
  outline: OutlineRow[];
  items: string[];
  title: string;
  /** Left out: nothing comes first. */
  rule: AfterRule | undefined;
  /** Whether all rows that are set are modules, which can have what is inside in order. */
  modules: boolean;
  onClose: () => void;
  children: ReactNode;
}

const MODES = [
  { value: 'all', label: 'All of these are finished' },
  { value: 'any', label: 'Any one of these is finished' },
  { value: 'at_least', label: 'So many of these are finished' },
];

/** Says what must be finished before rows, in the cell. */
export function AfterEditor({ course, version, outline, items, title, rule, modules, onClose, children }: AfterEditorProps) {
  const form = useForm({ version, set: 'after', items, mode: rule?.mode ?? 'all', of: rule?.of ?? [], count: rule?.count ?? null, inOrder: rule?.inOrder ?? false, rule: '' });
  const { data, errors, setData } = form;
  const choices = outline
    .filter((row) => row.kind !== 'board' && !items.includes(row.key))
    .map((row) => ({ value: row.key, label: row.kind === 'module' ? `${row.title} (module)` : row.title }));
  const keep = () => {
    form.transform((sent) => ({ ...sent, inOrder: modules && sent.inOrder }));
    form.post(to('keep.draft.edit', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  return (
    <EditorShell label={`What comes before ${title}`} width={340} busy={form.processing} onSubmit={keep} onClose={onClose} target={children}>
      <MultiSelect
        label={`${title} opens once this is finished`}
        placeholder={data.of.length === 0 ? 'nothing' : ''}
        data={choices}
        value={data.of}
        error={errors.of ?? errors.rule}
        searchable
        clearable
        hidePickedOptions
        nothingFoundMessage="No such row"
        comboboxProps={{ withinPortal: false }}
        onChange={(of) => setData('of', of)}
      />
      {data.of.length > 1 && (
        <Select
          label="Which of them"
          data={MODES}
          value={data.mode}
          allowDeselect={false}
          comboboxProps={{ withinPortal: false }}
          onChange={(mode) => setData('mode', mode ?? 'all')}
        />
      )}
      {data.of.length > 1 && data.mode === 'at_least' && (
        <NumberInput
          label="How many"
          min={1}
          max={data.of.length}
          allowDecimal={false}
          value={data.count ?? ''}
          error={errors.count}
          onChange={(count) => setData('count', count === '' ? null : Number(count))}
        />
      )}
      {modules && (
        <Checkbox
          label="What is inside comes one after the other"
          checked={data.inOrder}
          onChange={(event) => setData('inOrder', event.currentTarget.checked)}
        />
      )}
    </EditorShell>
  );
}

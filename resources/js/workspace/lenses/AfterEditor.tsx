import { useForm } from '@inertiajs/react';
import { Checkbox, MultiSelect, NumberInput, Select } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { RuleHelp } from '../RuleHelp';

import type { AfterRule, OutlineRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
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

/** Of the list of rows, in pixels. */
const LIST = 180;

const MODES = [
  { value: 'all', label: say('lenses.after_editor.all_these_finished') },
  { value: 'any', label: say('lenses.after_editor.any_one_these_finished') },
  { value: 'at_least', label: say('lenses.after_editor.so_many_these_finished') },
];

/** Says what must be finished before rows, in the cell. */
export function AfterEditor({ course, version, outline, items, title, rule, modules, onClose, children }: AfterEditorProps) {
  const form = useForm({ version, set: 'after', items, mode: rule?.mode ?? 'all', of: rule?.of ?? [], count: rule?.count ?? null, inOrder: rule?.inOrder ?? false, rule: '' });
  const { data, errors, setData } = form;
  const [unfolded, setUnfolded] = useState(false);
  const choices = outline
    .filter((row) => row.kind !== 'board' && !items.includes(row.key))
    .map((row) => ({ value: row.key, label: row.kind === 'module' ? say('lenses.after_editor.title_module', { title: row.title }) : row.title }));
  const keep = () => {
    form.transform((sent) => ({ ...sent, inOrder: modules && sent.inOrder }));
    form.post(to('keep.draft.edit', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  return (
    <EditorShell label={say('lenses.after_editor.what_comes_before_title', { title })} width={340} busy={form.processing} dirty={form.isDirty} onSubmit={keep} onClose={onClose} target={children}>
      <RuleHelp of="after" title={title} />
      <MultiSelect
        label={say('lenses.after_editor.title_opens_once_this', { title })}
        placeholder={data.of.length === 0 ? say('lenses.after_editor.nothing') : ''}
        data={choices}
        value={data.of}
        error={errors.of ?? errors.rule}
        searchable
        clearable
        hidePickedOptions
        nothingFoundMessage={say('lenses.after_editor.no_such_row')}
        maxDropdownHeight={LIST}
        // In room of its own, which stays: a list that flips, or gives its room back at a press, lies over the buttons.
        comboboxProps={{ withinPortal: false, position: 'bottom', middlewares: { flip: false, shift: false } }}
        mb={unfolded ? LIST + 16 : 0}
        onDropdownOpen={() => setUnfolded(true)}
        onChange={(of) => setData('of', of)}
      />
      {data.of.length > 1 && (
        <Select
          label={say('lenses.after_editor.which_of_them')}
          data={MODES}
          value={data.mode}
          allowDeselect={false}
          comboboxProps={{ withinPortal: false }}
          onChange={(mode) => setData('mode', mode ?? 'all')}
        />
      )}
      {data.of.length > 1 && data.mode === 'at_least' && (
        <NumberInput
          label={say('lenses.after_editor.how_many')}
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
          label={say('lenses.after_editor.what_inside_comes_one')}
          checked={data.inOrder}
          onChange={(event) => setData('inOrder', event.currentTarget.checked)}
        />
      )}
    </EditorShell>
  );
}

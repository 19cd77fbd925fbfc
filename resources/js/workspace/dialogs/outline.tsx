import { useForm } from '@inertiajs/react';
import { Menu, Select, Textarea } from '@mantine/core';
import type { KeyboardEvent } from 'react';

import type { OutlineRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import type { DropPlace } from '../grid/useRowDrag';
import type { Edits } from '../useEdits';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';
import css from '../workspace.module.css';

/** Rows are added, with titles that stand there already. */
export type OutlineTask = { task: 'add'; row: OutlineRow | null; titles?: string };

type Step = 'up' | 'down' | 'in' | 'out';

const KINDS: Record<string, { value: string; label: string }[]> = {
  module: [
    { value: 'lesson', label: say('edits.outline.lessons') },
    { value: 'module', label: say('edits.outline.modules') },
    { value: 'board', label: say('edits.outline.boards') },
  ],
  lesson: [{ value: 'part', label: say('edits.outline.parts') }],
};

const TOP = KINDS['module'] ?? [];

/** A course begins with its modules. */
const FIRST = TOP.toSorted((a, b) => Number(b.value === 'module') - Number(a.value === 'module'));

/** What can be done with rows of the outline; every one of them is an edit of the draft. */
export function useOutlineActs(course: string, edits: Edits) {
  const send = (data: Record<string, string | string[] | boolean>) => edits.send(to('keep.draft.outline', { course }), data as never);
  return {
    move: (row: OutlineRow, step: Step) => send({ do: 'move', item: row.key, step }),
    place: (items: string[], target: string, where: DropPlace) => send({ do: 'place', items, target, where }),
    duplicate: (row: OutlineRow) => send({ do: 'duplicate', item: row.key }),
    rename: (row: OutlineRow, title: string) => send({ do: 'rename', item: row.key, title }),
    remove: (items: string[], meant = false) => send({ do: 'delete', items, meant }),
    paste: (from: OutlineRow, items: string[]) => edits.set([{ set: 'rules', from: from.key, items }], []),
    setDraft: (row: OutlineRow) => edits.set([{ set: 'draft', items: [row.key], value: row.draft ? 'no' : 'yes' }], []),
  };
}

export type OutlineActs = ReturnType<typeof useOutlineActs>;

const STEPS: Record<string, Step> = { ArrowUp: 'up', ArrowDown: 'down', ArrowRight: 'in', ArrowLeft: 'out' };

/** The keys that move and double a row; true where one was taken. */
export function outlineKey(event: KeyboardEvent, row: OutlineRow, acts: OutlineActs): boolean {
  const step = STEPS[event.key];
  if (event.altKey && step !== undefined) {
    acts.move(row, step);
  } else if ((event.ctrlKey || event.metaKey) && event.shiftKey && event.key.toLowerCase() === 'd') {
    acts.duplicate(row);
  } else {
    return false;
  }
  return true;
}

export interface RowMenuProps {
  row: OutlineRow;
  acts: OutlineActs;
  onTask: (task: OutlineTask) => void;
  /** A row is typed below it. */
  onAdd: () => void;
  onRename: () => void;
  onCopy: () => void;
}

export function RowMenu({ row, acts, onTask, onAdd, onRename, onCopy }: RowMenuProps) {
  return (
    <Menu position="bottom-start" width={236} withArrow>
      <Menu.Target>
        <button type="button" className={css.rowmenu} tabIndex={-1} aria-label={say('edits.outline.what_can_be_done', { title: row.title })} onClick={(event) => event.stopPropagation()}>
          +
        </button>
      </Menu.Target>
      <Menu.Dropdown onClick={(event) => event.stopPropagation()}>
        <Menu.Item rightSection={<kbd>{say('keep.keys.ctrl_enter')}</kbd>} onClick={onAdd}>
          {say('edits.outline.add_below')}
        </Menu.Item>
        <Menu.Item onClick={() => onTask({ task: 'add', row })}>
          {say('edits.outline.add_rows')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>F2</kbd>} onClick={onRename}>
          {say('edits.outline.rename')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>{say('keep.keys.ctrl_shift_d')}</kbd>} onClick={() => acts.duplicate(row)}>
          {say('edits.outline.duplicate')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>{say('keep.keys.ctrl_c')}</kbd>} onClick={onCopy}>
          {say('edits.outline.copy_its_rules')}
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item rightSection={<kbd>{say('keep.keys.alt_up')}</kbd>} onClick={() => acts.move(row, 'up')}>
          {say('edits.outline.move_up')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>{say('keep.keys.alt_down')}</kbd>} onClick={() => acts.move(row, 'down')}>
          {say('edits.outline.move_down')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>{say('keep.keys.alt_right')}</kbd>} onClick={() => acts.move(row, 'in')}>
          {say('edits.outline.move_into_one_before')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>{say('keep.keys.alt_left')}</kbd>} onClick={() => acts.move(row, 'out')}>
          {say('edits.outline.move_out')}
        </Menu.Item>
        <Menu.Divider />
        <Menu.Item onClick={() => acts.setDraft(row)}>{row.draft ? say('edits.outline.no_draft_any_more') : say('edits.outline.make_it_a_draft')}</Menu.Item>
        <Menu.Item color="red" rightSection={<kbd>{say('keep.keys.del')}</kbd>} onClick={() => acts.remove([row.key])}>
          {say('edits.outline.take_out')}
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}

export interface OutlineDialogProps {
  course: string;
  version: number;
  task: OutlineTask;
  onClose: () => void;
}

export function OutlineDialog({ course, version, task, onClose }: OutlineDialogProps) {
  return <AddDialog course={course} version={version} row={task.row} titles={task.titles ?? ''} onClose={onClose} />;
}

interface DialogProps {
  course: string;
  version: number;
  onClose: () => void;
}

function AddDialog({ course, version, row, titles, onClose }: DialogProps & { row: OutlineRow | null; titles: string }) {
  const within = row === null ? undefined : KINDS[row.kind];
  const beside = row === null || row.kind === 'module' ? FIRST : row.kind === 'part' ? (KINDS['lesson'] ?? []) : TOP;
  const form = useForm({ version, do: 'add', item: row?.key ?? '', inside: within !== undefined && row?.kind === 'module', kind: '', titles, rule: '' });
  const kinds = form.data.inside ? (within ?? []) : beside;
  const kind = kinds.some(({ value }) => value === form.data.kind) ? form.data.kind : (kinds[0]?.value ?? 'lesson');
  const submit = () => {
    form.transform((data) => ({ ...data, kind }));
    form.post(to('keep.draft.outline', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  return (
    <DialogForm title={say('edits.outline.add_rows_outline')} keep={say('edits.outline.add_to_the_draft')} busy={form.processing} onKeep={submit} onLeave={onClose}>
      {row !== null && within !== undefined && (
        <Select
          label={say('edits.outline.where')}
          data={[
            { value: 'inside', label: say('edits.outline.inside_title_at_its', { title: row.title }) },
            { value: 'after', label: say('edits.outline.after_title', { title: row.title }) },
          ]}
          value={form.data.inside ? 'inside' : 'after'}
          allowDeselect={false}
          onChange={(where) => form.setData('inside', where === 'inside')}
        />
      )}
      <Select label={say('edits.outline.what')} data={kinds} value={kind} allowDeselect={false} onChange={(value) => form.setData('kind', value ?? '')} />
      <Textarea
        label={say('edits.outline.titles_one_a_line')}
        autosize
        minRows={4}
        maxRows={14}
        data-autofocus
        value={form.data.titles}
        error={form.errors.titles ?? form.errors.rule}
        onChange={(event) => form.setData('titles', event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            submit();
          }
        }}
      />
    </DialogForm>
  );
}

import { useForm } from '@inertiajs/react';
import { Menu, Select, Textarea } from '@mantine/core';
import { type KeyboardEvent, useState } from 'react';

import type { Kind, OutlineRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { kindsFor, readOutline } from '../../lib/outlineText';
import type { DropPlace } from '../grid/useRowDrag';
import type { Edits } from '../useEdits';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';
import { FocusBack } from '../../ui/FocusBack';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** Rows are added, with titles that stand there already. */
export type OutlineTask = { task: 'add'; row: OutlineRow | null; titles?: string };

type Step = 'up' | 'down' | 'in' | 'out';

const KINDS: Record<Kind, string> = {
  module: say('edits.outline.modules'),
  lesson: say('edits.outline.lessons'),
  part: say('edits.outline.parts'),
  board: say('edits.outline.boards'),
};

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

/** What takes the focus itself waits until the menu is gone, which lets go of it last. */
function closed(act: () => void): void {
  requestAnimationFrame(() => requestAnimationFrame(act));
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
  const [opened, setOpened] = useState(false);
  const button = (
    <button type="button" className={css.rowmenu} tabIndex={-1} aria-haspopup="menu" aria-expanded={opened} aria-label={say('edits.outline.what_can_be_done', { title: row.title })} onClick={(event) => [event.stopPropagation(), setOpened(true)]}>
      +
    </button>
  );
  // Menus of hundreds of rows, of which one is ever unfolded, would make each key wait.
  if (!opened) {
    return button;
  }
  return (
    <Menu opened onChange={setOpened} clickOutsideEvents={['mousedown', 'touchstart']} position="bottom-start" width={236} withArrow transitionProps={{ duration: 0 }}>
      <Menu.Target>{button}</Menu.Target>
      <Menu.Dropdown onClick={(event) => event.stopPropagation()}>
        <FocusBack />
        <Menu.Item rightSection={<kbd>{say('keep.keys.ctrl_enter')}</kbd>} onClick={() => closed(onAdd)}>
          {say('edits.outline.add_below')}
        </Menu.Item>
        <Menu.Item onClick={() => closed(() => onTask({ task: 'add', row }))}>
          {say('edits.outline.add_rows')}
        </Menu.Item>
        <Menu.Item rightSection={<kbd>F2</kbd>} onClick={() => closed(onRename)}>
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
  const mayHold = row !== null && (row.kind === 'module' || row.kind === 'lesson');
  const form = useForm({ version, do: 'rows', item: row?.key ?? '', inside: row?.kind === 'module', kinds: '', titles, rows: '' });
  const { data, errors } = form;
  const rows = readOutline(data.titles);
  const levels = Math.max(1, ...rows.map(({ depth }) => depth + 1));
  const chains = kindsFor(levels, data.inside ? (row?.kind ?? null) : row?.kind === 'part' ? 'lesson' : row?.kind === 'module' || row === null ? null : 'module');
  // A course begins with its modules; beside one comes another.
  const first = levels === 1 && !data.inside && (row === null || row.kind === 'module') ? 'module' : undefined;
  const kinds = chains.find((chain) => chain.join() === data.kinds) ?? chains.find((chain) => chain[0] === first) ?? chains[0] ?? [];
  const made = rows.map(({ depth, title }, index) => ({ key: `${index} ${title}`, depth, title, kind: kinds[depth] ?? 'lesson' }));
  const submit = () => {
    form.transform(({ version: seen, item, inside }) => ({ version: seen, do: 'rows', item, inside, rows: made.map(({ key: _key, ...one }) => one) }) as never);
    form.post(to('keep.draft.outline', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  const refused = Object.values(errors)[0];
  return (
    <DialogForm title={say('edits.outline.add_rows_outline')} size={620} keep={rows.length === 0 ? say('edits.outline.add_to_the_draft') : say('edits.outline.add_so_many', { count: rows.length })} busy={form.processing} disabled={kinds.length === 0} onKeep={submit} onLeave={onClose}>
      {mayHold && (
        <Select
          label={say('edits.outline.where')}
          data={[
            { value: 'inside', label: say('edits.outline.inside_title_at_its', { title: row.title }) },
            { value: 'after', label: say('edits.outline.after_title', { title: row.title }) },
          ]}
          value={data.inside ? 'inside' : 'after'}
          allowDeselect={false}
          onChange={(where) => form.setData('inside', where === 'inside')}
        />
      )}
      <Textarea
        label={say('edits.outline.titles_one_a_line')}
        description={say('edits.outline.how_levels_are_told')}
        autosize
        minRows={4}
        maxRows={10}
        data-autofocus
        value={data.titles}
        error={refused ?? (kinds.length === 0 ? say('edits.outline.too_deep', { levels }) : undefined)}
        onChange={(event) => form.setData('titles', event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            submit();
          }
        }}
      />
      <Select
        label={say('edits.outline.what')}
        data={chains.map((chain) => ({ value: chain.join(), label: chain.map((kind) => KINDS[kind]).join(` ${say('edits.outline.with_inside')} `) }))}
        value={kinds.join()}
        allowDeselect={false}
        onChange={(value) => form.setData('kinds', value ?? '')}
      />
      {made.length > 1 && kinds.length > 0 && (
        <ol className={css.written} aria-label={say('edits.outline.as_it_will_be')}>
          {made.map(({ key, depth, title, kind }) => (
            <li key={key} style={{ paddingLeft: 8 + depth * 18 }}>
              {title} <span className={ui.soft}>{say('edits.outline.a_kind', { kind })}</span>
            </li>
          ))}
        </ol>
      )}
    </DialogForm>
  );
}

import { Checkbox } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { say } from '../../lib/keepSay';
import { CountInput } from '../../ui/CountInput';
import { DialogForm } from '../../ui/DialogForm';
import { COLUMN_TITLES } from '../entry/columnTitles';
import { type Columns, USUAL, WIDTHS } from '../useColumns';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export interface ColumnsDialogProps {
  columns: Columns;
  onClose: () => void;
}

/** Which columns the Rules lens shows, in which order and how wide. */
export function ColumnsDialog({ columns, onClose }: ColumnsDialogProps) {
  const [list, setList] = useState(() => [...columns.shown.map((column) => ({ ...column, on: true })), ...USUAL.filter(({ id }) => !columns.shown.some((one) => one.id === id)).map((column) => ({ ...column, on: false }))]);
  const shown = list.filter(({ on }) => on).map(({ id, width }) => ({ id, width }));
  const change = (at: number, more: Partial<(typeof list)[number]>) => setList(list.map((one, index) => (index === at ? { ...one, ...more } : one)));
  const move = (at: number, by: number) => {
    const next = [...list];
    const [one] = next.splice(at, 1);
    if (one !== undefined) {
      next.splice(at + by, 0, one);
      setList(next);
    }
  };
  return (
    <DialogForm
      title={say('workspace.columns.title')}
      keep={say('workspace.columns.keep')}
      busy={false}
      disabled={shown.length === 0}
      onKeep={() => {
        columns.arrange(shown);
        onClose();
      }}
      onLeave={onClose}
    >
      <p className={ui.soft}>{say('workspace.columns.for_you')}</p>
      <ul className={css.columns}>
        {list.map(({ id, width, on }, at) => (
          <li key={id}>
            <Checkbox label={COLUMN_TITLES[id]} checked={on} onChange={({ currentTarget }) => change(at, { on: currentTarget.checked })} />
            <CountInput aria-label={say('workspace.columns.width_of', { column: COLUMN_TITLES[id] })} size="xs" min={WIDTHS.least} max={WIDTHS.most} step={10} clampBehavior="blur" disabled={!on} value={width} onCount={(count) => change(at, { width: Math.max(WIDTHS.least, Math.min(WIDTHS.most, Math.round(count))) })} />
            <button type="button" className={css.x} disabled={at === 0} aria-label={say('workspace.columns.to_the_left', { column: COLUMN_TITLES[id] })} onClick={() => move(at, -1)}>
              ↑
            </button>
            <button type="button" className={css.x} disabled={at === list.length - 1} aria-label={say('workspace.columns.to_the_right', { column: COLUMN_TITLES[id] })} onClick={() => move(at, 1)}>
              ↓
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setList(USUAL.map((column) => ({ ...column, on: true })))}>
        {say('workspace.columns.as_at_first')}
      </button>
    </DialogForm>
  );
}

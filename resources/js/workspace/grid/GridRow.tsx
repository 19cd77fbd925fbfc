import { clsx } from 'clsx';
import { memo, type ReactNode } from 'react';

import type { OutlineRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { useFolds } from '../folds';
import { TITLE } from './useCellRange';
import type { DropPlace, RowDrag } from './useRowDrag';
import css from '../workspace.module.css';

export interface GridRowProps {
  row: OutlineRow;
  /** Where it stands among those that are shown. */
  at: number;
  /** Among all rows. */
  index: number;
  /** What the columns are called; the same list as long as they are. */
  columns: string[];
  cell: (index: number, column: number) => ReactNode;
  /** In place of the title, which is being edited; left out: it is not. */
  editor?: ReactNode;
  menu: ReactNode;
  /** Which of its cells can have the focus; null: it is elsewhere. */
  focus: number | null;
  selected: boolean | undefined;
  /** The columns that are selected, both counted; null: all. Of a row that is selected. */
  picked: readonly [number, number] | null;
  /** The column whose corner fills others; null: none here. */
  handle: number | null;
  /** Whether what is dragged by the corner would be filled in here. */
  filling: boolean;
  drop: DropPlace | null;
  drag: RowDrag | undefined;
  /** Beside the columns there is room that bears nothing. */
  room: boolean;
}

/** A row of the grid: its title, which belongs to the outline, and its cells. Drawn anew only where something of it is another. */
export const GridRow = memo(function GridRow({ row, at, index: number, columns, cell, editor, menu, focus, selected, picked, handle, filling, drop, drag, room }: GridRowProps) {
  const folds = useFolds();
  const isFolded = folds.folded.has(row.key);
  const isPicked = (column: number) => selected === true && (picked === null || (column >= picked[0] && column <= picked[1]));
  return (
    <tr
      data-kind={row.kind}
      aria-rowindex={at + 2}
      aria-selected={selected}
      className={clsx(css[row.kind], row.draft && css.isdraft, focus !== null && css.here, selected === true && css.picked, drop !== null && css[`drop-${drop}`])}
      {...drag?.over(row)}
    >
      <th scope="row" data-cell data-at={at} data-col={TITLE} data-title={row.key} tabIndex={focus === TITLE ? 0 : -1} {...drag?.source(row, editor === undefined)}>
        <div className={css.o} style={{ paddingLeft: 14 + row.depth * 16 }}>
          {folds.holds.has(row.key) && (
            <button type="button" className={css.twist} tabIndex={-1} aria-expanded={!isFolded} aria-label={say(isFolded ? 'workspace.grid.fold_out' : 'workspace.grid.fold_up', { title: row.title })} onClick={() => folds.toggle(row.key)}>
              <svg viewBox="0 0 8 8" width="8" height="8" aria-hidden>
                <path d={isFolded ? 'M2 0l4 4-4 4z' : 'M0 2l4 4 4-4z'} />
              </svg>
            </button>
          )}
          {editor ?? (
            <span className={css.t} title={row.title}>
              {row.title}
            </span>
          )}
          <RowTag row={row} />
          {menu}
        </div>
      </th>
      {columns.map((column, index) => (
        <td
          key={column}
          data-cell
          data-at={at}
          data-col={index}
          data-row={row.key}
          data-column={column}
          tabIndex={focus === index ? 0 : -1}
          className={clsx(isPicked(index) && css.picked, filling && picked !== null && index >= picked[0] && index <= picked[1] && css.filling)}
        >
          {cell(number, index)}
          {handle === index && <span className={css.fill} data-fill title={say('workspace.grid.drag_to_fill')} />}
        </td>
      ))}
      {room && <td aria-hidden />}
    </tr>
  );
});

function RowTag({ row }: { row: OutlineRow }) {
  const tag = row.draft ? 'draft' : row.kind === 'board' || row.kind === 'part' ? row.kind : null;
  return tag === null ? null : <span className={css.tag}>{tag}</span>;
}

import { useVirtualizer } from '@tanstack/react-virtual';
import { type FocusEvent, type KeyboardEvent, type MouseEvent, type ReactNode, type Ref, useCallback, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';

import type { OutlineRow } from '../../lib/generated/types';
import { useFolds } from '../folds';
import { usePrinting } from '../../lib/usePrinting';
import { GridRow } from './GridRow';
import { type Picked, TITLE, useCellRange } from './useCellRange';
import { WidthHandle } from './WidthHandle';
import { useCellDrag } from './useCellDrag';
import { type DropPlace, useRowDrag } from './useRowDrag';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

const ROW_HEIGHT = 34;

/** Of the heads, which stay in sight above the rows. */
const HEAD_HEIGHT = 64;

export interface GridColumn {
  id: string;
  /** Of the column in pixels; left out: a share of what is left. */
  width?: number;
  head: ReactNode;
  /** What it is called, where it can be widened. */
  title?: string;
}

export interface GridHandle {
  /** The focus goes so many rows down and columns to the right, as far as there are any. */
  step: (rows: number, columns: number) => void;
  /** The focus goes to a row, to the cell of the column where it is or was. */
  toRow: (key: string) => void;
  /** Into the grid, to the cell where it was. */
  focus: () => void;
}

export interface GridProps {
  ref?: Ref<GridHandle>;
  caption: string;
  corner: ReactNode;
  columns: GridColumn[];
  /** What is shown, in order, with its index among all rows of the course. */
  rows: { row: OutlineRow; index: number }[];
  cell: (index: number, column: number) => ReactNode;
  /** In place of a title, which is being edited; undefined: it is not. */
  titleEditor?: (row: OutlineRow) => ReactNode;
  /** A click on a cell; `again` where it had the focus before. */
  onCell?: (index: number, column: number, again: boolean) => void;
  /** Enter on a cell. */
  onEnter?: (index: number, column: number) => void;
  /** Enter, or a second click, on the title of the row that one is on. */
  onOpenRow?: (index: number, column: number) => void;
  /** What is selected; left out: nothing can be. */
  picked?: Picked;
  onPicked?: (picked: Picked) => void;
  /** What can be done with a row, shown in its outline cell. */
  rowMenu?: (row: OutlineRow) => ReactNode;
  /** The row that has the focus. */
  onFocusRow?: (row: OutlineRow) => void;
  onFocusColumn?: (column: number) => void;
  /** A column is drawn wider or narrower, in pixels; `kept` once the button is let go. Left out: it cannot be. */
  onWiden?: (id: string, width: number, kept: boolean) => void;
  /** The row that has the focus at first, by key. */
  startAt?: string | null;
  /** Rows were dragged to another one; left out: they cannot be. */
  onDropRows?: (rows: string[], target: string, place: DropPlace) => void;
  /** The corner of what is selected was dragged over further rows; left out: it cannot be. By where they stand among those that are shown. */
  onFill?: (from: readonly [number, number], to: readonly [number, number], columns: readonly [number, number]) => void;
  /** A key pressed on a cell that the grid has no use for itself; true where it was taken. */
  onRowKey?: (event: KeyboardEvent<HTMLTableElement>, row: OutlineRow, column: number) => boolean;
}

/** The one grid: the outline on the left and the cells of a lens on its right. Only rows in sight are drawn. */
export function Grid({ ref, caption, corner, columns, rows, cell, titleEditor, onCell, onEnter, onOpenRow, picked, onPicked, rowMenu, onRowKey, onFocusRow, onFocusColumn, onWiden, startAt = null, onDropRows, onFill }: GridProps) {
  const scroll = useRef<HTMLDivElement>(null);
  // By key: where rows are added or taken out above, by whomever, the focus stays on its row.
  const [focus, setFocus] = useState(() => ({ key: startAt, row: Math.max(0, rows.findIndex(({ row }) => row.key === startAt)), column: 0 }));
  const folds = useFolds();
  const wantsFocus = useRef(false);
  const range = useCellRange(rows.map(({ row }) => row.key), picked, onPicked);
  const { drop, drag } = useRowDrag(rows, picked?.rows, onDropRows);
  const printing = usePrinting();
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    // Of many columns the rows are dear; on paper all are in sight.
    overscan: printing ? rows.length : columns.length > 12 ? 4 : 12,
    scrollMargin: HEAD_HEIGHT,
    scrollPaddingStart: HEAD_HEIGHT,
    initialRect: { width: 1280, height: 800 },
  });
  const found = rows.findIndex(({ row }) => row.key === focus.key);
  const focused = { row: found === -1 ? Math.min(focus.row, rows.length - 1) : found, column: Math.min(focus.column, columns.length - 1) };
  const cells = useCellDrag({ keys: rows.map(({ row }) => row.key), focused, picked, range, onFill });

  const move = useCallback(
    (row: number, column: number) => {
      const to = {
        row: Math.max(0, Math.min(rows.length - 1, row)),
        column: Math.max(TITLE, Math.min(columns.length - 1, column)),
      };
      setFocus({ key: rows[to.row]?.row.key ?? null, ...to });
      wantsFocus.current = true;
      virtual.scrollToIndex(to.row);
    },
    [rows, columns.length, virtual],
  );
  useImperativeHandle(ref, () => ({
    step: (down, right) => move(focused.row + down, focused.column + right),
    toRow: (key) => {
      const at = rows.findIndex(({ row }) => row.key === key);
      move(at === -1 ? focused.row : at, focused.column);
    },
    focus: () => move(focused.row, focused.column),
  }));

  // A row that was asked for by its address is in sight at once.
  const atFirst = useRef(startAt === null ? null : focus.row);
  useEffect(() => {
    if (atFirst.current !== null) {
      virtual.scrollToIndex(atFirst.current, { align: 'center' });
      atFirst.current = null;
    }
  }, [virtual]);

  useEffect(() => {
    const wanted = wantsFocus.current ? scroll.current?.querySelector<HTMLElement>('[data-cell][tabindex="0"]') : null;
    // A row far off is drawn only once the grid has been scrolled to it: until then it is still wanted.
    if (wanted !== null && wanted !== undefined) {
      wanted.focus();
      wantsFocus.current = false;
    } else if (found === -1 && focus.key !== null && document.activeElement === document.body) {
      // The row that had it was taken out: it goes to the one that has come in its place.
      scroll.current?.querySelector<HTMLElement>('[data-cell][tabindex="0"]')?.focus();
    }
  });

  const walk = (selects: boolean, row: number, column: number) => {
    if (selects) {
      range.upTo(row, Math.max(TITLE, Math.min(columns.length - 1, column)));
    }
    range.extend(selects);
    move(row, column);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    if (!(event.target instanceof HTMLTableCellElement)) {
      return;
    }
    const here = rows[focused.row];
    if (here !== undefined && onRowKey?.(event, here.row, focused.column) === true) {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    const far: Record<string, number> = { Home: 0, ArrowUp: 0, End: rows.length - 1, ArrowDown: rows.length - 1 };
    if ((event.ctrlKey || event.metaKey) && !event.altKey && far[event.key] !== undefined) {
      event.preventDefault();
      walk(event.shiftKey, far[event.key] ?? 0, focused.column);
    }
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const page = Math.max(1, Math.floor((scroll.current?.clientHeight ?? 0) / ROW_HEIGHT) - 2);
    const steps: Record<string, [number, number]> = {
      ArrowDown: [focused.row + 1, focused.column],
      ArrowUp: [focused.row - 1, focused.column],
      ArrowRight: [focused.row, focused.column + 1],
      ArrowLeft: [focused.row, focused.column - 1],
      PageDown: [focused.row + page, focused.column],
      PageUp: [focused.row - page, focused.column],
      Home: [focused.row, TITLE],
      End: [focused.row, columns.length - 1],
    };
    const step = steps[event.key];
    if (step !== undefined) {
      event.preventDefault();
      walk(event.shiftKey, step[0], step[1]);
    } else if (focused.column === TITLE && here !== undefined && folds.holds.has(here.row.key) && (event.key === '+' || event.key === '-') && folds.folded.has(here.row.key) === (event.key === '+')) {
      event.preventDefault();
      folds.toggle(here.row.key);
    } else if (event.key === 'Escape' && picked !== undefined && picked.rows.size > 0) {
      onPicked?.({ rows: new Set(), columns: null });
    } else if (event.key === 'Enter' && here !== undefined) {
      event.preventDefault();
      (focused.column === TITLE ? onOpenRow : onEnter)?.(here.index, focused.column);
    }
  };

  /** One row, one truth: a click on a title takes the selection and the focus there, and another one opens what is told of it. */
  const onTitle = (event: MouseEvent, at: number, again: boolean) => {
    if (event.target instanceof Element && event.target.closest('button, a, input, [role=menu]') !== null) {
      return;
    }
    const [more, to] = [event.ctrlKey || event.metaKey, event.shiftKey];
    const alone = picked === undefined || (picked.rows.size === 1 && picked.columns === null && picked.rows.has(rows[at]?.row.key ?? ''));
    range.extend(to);
    if (range.byHand(at, more, to)) {
      move(at, TITLE);
    }
    if (again && alone && !more && !to) {
      onOpenRow?.(rows[at]?.index ?? 0, TITLE);
    }
  };

  /** Of all cells, which need none of their own: there are hundreds. */
  const onFocus = ({ target }: FocusEvent) => {
    const at = cells.placeOf(target);
    const shown = at === null ? undefined : rows[at.row];
    if (at !== null && shown !== undefined) {
      setFocus({ key: shown.row.key, ...at });
      range.focused(at.row, at.column);
      onFocusRow?.(shown.row);
      if (at.column !== TITLE) {
        onFocusColumn?.(at.column);
      }
    }
  };
  const onClick = (event: MouseEvent) => {
    const at = cells.placeOf(event.target);
    if (at !== null && at.column === TITLE) {
      onTitle(event, at.row, cells.wasThere(at));
    } else if (at !== null && !cells.dragged()) {
      onCell?.(rows[at.row]?.index ?? 0, at.column, cells.wasThere(at));
    }
  };

  const called = columns.map(({ id }) => id).join('\n');
  const ids = useMemo(() => called.split('\n'), [called]);
  // Columns keep their widths: what is left over goes to one that bears nothing, unless a column asks for it.
  const filled = columns.some((column) => column.width === undefined);
  // The outline at its narrowest, beside an open sheet.
  const least = columns.reduce((sum, column) => sum + (column.width ?? 88), 248);
  const items = virtual.getVirtualItems();
  const before = (items[0]?.start ?? HEAD_HEIGHT) - HEAD_HEIGHT;
  const after = virtual.getTotalSize() - ((items[items.length - 1]?.end ?? HEAD_HEIGHT) - HEAD_HEIGHT);
  return (
    <div className={css.scroll} ref={scroll}>
      <table className={css.grid} role="grid" aria-rowcount={rows.length + 1} aria-multiselectable={picked === undefined ? undefined : true} style={{ minWidth: least }} onKeyDown={onKeyDown} onFocus={onFocus} onMouseDown={cells.onMouseDown} onMouseOver={cells.onMouseOver} onClick={onClick}>
        <caption className={ui.vh}>{caption}</caption>
        <colgroup>
          <col style={{ width: 'var(--outline)' }} />
          {columns.map((column) => (
            <col key={column.id} style={column.width === undefined ? undefined : { width: column.width }} />
          ))}
          {!filled && <col />}
        </colgroup>
        <thead>
          <tr>
            <td className={css.corner}>{corner}</td>
            {columns.map((column) => (
              <th key={column.id} scope="col">
                {column.head}
                {onWiden !== undefined && column.width !== undefined && <WidthHandle column={column} width={column.width} onWiden={onWiden} />}
              </th>
            ))}
            {!filled && <td aria-hidden />}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr aria-hidden style={{ height: before }} />}
          {items.map((item) => {
            const shown = rows[item.index];
            if (shown === undefined) {
              return null;
            }
            const { row, index } = shown;
            const filling = cells.filling(item.index);
            return (
              <GridRow
                key={row.key}
                row={row}
                at={item.index}
                index={index}
                columns={ids}
                cell={cell}
                editor={titleEditor?.(row)}
                menu={rowMenu?.(row)}
                focus={item.index === focused.row ? focused.column : null}
                selected={picked?.rows.has(row.key)}
                picked={filling ? cells.block.columns : (picked?.columns ?? null)}
                handle={onFill !== undefined && cells.block.rows[1] === item.index && cells.block.columns[1] !== TITLE ? cells.block.columns[1] : null}
                filling={filling}
                drop={drop?.key === row.key ? drop.place : null}
                drag={drag}
                room={!filled}
              />
            );
          })}
          {after > 0 && <tr aria-hidden style={{ height: after }} />}
        </tbody>
      </table>
    </div>
  );
}

import { useVirtualizer } from '@tanstack/react-virtual';
import { type DragEvent, type KeyboardEvent, type MouseEvent, type ReactNode, useCallback, useEffect, useRef, useState } from 'react';
import { clsx } from 'clsx';

import type { OutlineRow } from '../lib/generated/types';
import { useRowSelection } from './useRowSelection';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

const ROW_HEIGHT = 34;

/** Of the heads, which stay in sight above the rows. */
const HEAD_HEIGHT = 56;

export interface GridColumn {
  id: string;
  /** Of the column in pixels; left out: a share of what is left. */
  width?: number;
  head: ReactNode;
}

export type DropPlace = 'before' | 'after' | 'inside';

export interface GridProps {
  caption: string;
  corner: ReactNode;
  columns: GridColumn[];
  /** What is shown, in order, with its index among all rows of the course. */
  rows: { row: OutlineRow; index: number }[];
  cell: (index: number, column: number) => ReactNode;
  /** Enter (by key) or a click on a cell. */
  onActivate?: (index: number, column: number, byKey: boolean) => void;
  /** A second click on the title of the row that one is on. */
  onOpenRow?: (index: number, column: number) => void;
  /** The rows that are selected, by key; left out: rows cannot be selected. */
  selected?: ReadonlySet<string>;
  onSelect?: (selected: ReadonlySet<string>) => void;
  /** What can be done with a row, shown in its outline cell. */
  rowMenu?: (row: OutlineRow) => ReactNode;
  /** The row that has the focus. */
  onFocusRow?: (row: OutlineRow) => void;
  onFocusColumn?: (column: number) => void;
  /** The row that has the focus at first, by key. */
  startAt?: string | null;
  /** Rows were dragged to another one; left out: they cannot be. */
  onDropRows?: (rows: string[], target: string, place: DropPlace) => void;
  /** A key pressed on a cell that the grid has no use for itself; true where it was taken. */
  onRowKey?: (event: KeyboardEvent<HTMLTableElement>, row: OutlineRow) => boolean;
}

/** The one grid: the outline on the left and the cells of a lens on its right. Only rows in sight are drawn. */
export function Grid({ caption, corner, columns, rows, cell, onActivate, onOpenRow, selected, onSelect, rowMenu, onRowKey, onFocusRow, onFocusColumn, startAt = null, onDropRows }: GridProps) {
  const scroll = useRef<HTMLDivElement>(null);
  const [focus, setFocus] = useState(() => ({ row: Math.max(0, rows.findIndex(({ row }) => row.key === startAt)), column: 0 }));
  const [drop, setDrop] = useState<{ key: string; place: DropPlace } | null>(null);
  const dragged = useRef<string[]>([]);
  const [wantsFocus, setWantsFocus] = useState(false);
  const selection = useRowSelection(rows.map(({ row }) => row.key), selected, onSelect);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    scrollMargin: HEAD_HEIGHT,
    scrollPaddingStart: HEAD_HEIGHT,
    initialRect: { width: 1280, height: 800 },
  });
  const focused = { row: Math.min(focus.row, rows.length - 1), column: Math.min(focus.column, columns.length - 1) };

  const move = useCallback(
    (row: number, column: number) => {
      const to = {
        row: Math.max(0, Math.min(rows.length - 1, row)),
        column: Math.max(0, Math.min(columns.length - 1, column)),
      };
      setFocus(to);
      setWantsFocus(true);
      virtual.scrollToIndex(to.row);
    },
    [rows.length, columns.length, virtual],
  );

  // A row that was asked for by its address is in sight at once.
  const atFirst = useRef(startAt === null ? null : focus.row);
  useEffect(() => {
    if (atFirst.current !== null) {
      virtual.scrollToIndex(atFirst.current, { align: 'center' });
      atFirst.current = null;
    }
  }, [virtual]);

  /** A module takes rows inside in its middle; everything else only before and after. */
  const placeOf = (event: DragEvent<HTMLTableRowElement>, row: OutlineRow): DropPlace => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = (event.clientY - box.top) / box.height;
    const kinds = rows.filter((one) => dragged.current.includes(one.row.key)).map((one) => one.row.kind);
    const takes = kinds.every((kind) => (kind === 'part' ? row.kind === 'lesson' : row.kind === 'module'));
    if (takes && at > 0.25 && at < 0.75) {
      return 'inside';
    }
    return at < 0.5 ? 'before' : 'after';
  };
  const dragging = (row: OutlineRow) =>
    onDropRows === undefined
      ? {}
      : {
          onDragOver: (event: DragEvent<HTMLTableRowElement>) => {
            if (dragged.current.length > 0 && !dragged.current.includes(row.key)) {
              event.preventDefault();
              const place = placeOf(event, row);
              if (drop?.key !== row.key || drop.place !== place) {
                setDrop({ key: row.key, place });
              }
            }
          },
          onDrop: (event: DragEvent<HTMLTableRowElement>) => {
            event.preventDefault();
            if (dragged.current.length > 0) {
              onDropRows(dragged.current, row.key, placeOf(event, row));
            }
            dragged.current = [];
            setDrop(null);
          },
        };

  useEffect(() => {
    if (wantsFocus) {
      scroll.current?.querySelector<HTMLElement>('td[tabindex="0"]')?.focus();
      setWantsFocus(false);
    }
  }, [wantsFocus, focus]);

  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    if (!(event.target instanceof HTMLTableCellElement)) {
      return;
    }
    const here = rows[focused.row];
    if (here !== undefined && onRowKey?.(event, here.row) === true) {
      event.preventDefault();
      event.stopPropagation();
      return;
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
      Home: [focused.row, 0],
      End: [focused.row, columns.length - 1],
    };
    const step = steps[event.key];
    if (step !== undefined) {
      event.preventDefault();
      if (event.shiftKey) {
        selection.upTo(step[0]);
      }
      selection.extend(event.shiftKey);
      move(step[0], step[1]);
    } else if (event.key === 'Escape' && selected !== undefined && selected.size > 0) {
      onSelect?.(new Set());
    } else if (event.key === 'Enter') {
      const shown = rows[focused.row];
      if (shown !== undefined) {
        event.preventDefault();
        onActivate?.(shown.index, focused.column, true);
      }
    }
  };

  /** One row, one truth: a click on a title takes the selection and the focus there, and another one opens what is told of it. */
  const onTitle = (event: MouseEvent, at: number) => {
    if (event.target instanceof Element && event.target.closest('button, a, [role=menu]') !== null) {
      return;
    }
    const [more, range] = [event.ctrlKey || event.metaKey, event.shiftKey];
    const again = !more && !range && at === focused.row && (selected === undefined || (selected.size === 1 && selected.has(rows[at]?.row.key ?? '')));
    selection.extend(range);
    if (selection.byHand(at, more, range)) {
      move(at, focused.column);
    }
    if (again) {
      onOpenRow?.(rows[at]?.index ?? 0, focused.column);
    }
  };

  // Columns keep their widths: what is left over goes to one that bears nothing, unless a column asks for it.
  const filled = columns.some((column) => column.width === undefined);
  // The outline at its narrowest, beside an open sheet.
  const least = columns.reduce((sum, column) => sum + (column.width ?? 88), 264);
  const items = virtual.getVirtualItems();
  const before = (items[0]?.start ?? HEAD_HEIGHT) - HEAD_HEIGHT;
  const after = virtual.getTotalSize() - ((items[items.length - 1]?.end ?? HEAD_HEIGHT) - HEAD_HEIGHT);
  return (
    <div className={css.scroll} ref={scroll}>
      <table className={css.grid} role="grid" aria-rowcount={rows.length + 1} style={{ minWidth: least }} onKeyDown={onKeyDown}>
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
            return (
              <tr
                key={row.key}
                data-kind={row.kind}
                aria-rowindex={item.index + 2}
                aria-selected={selected?.has(row.key)}
                className={clsx(css[row.kind], row.draft && css.isdraft, item.index === focused.row && css.here, (selected?.has(row.key) === true) && ui.picked, (selected?.has(row.key) === true) && css.picked, (drop?.key === row.key) && css[`drop-${drop.place}`])}
                {...dragging(row)}
              >
                <th
                  scope="row"
                  draggable={onDropRows !== undefined}
                  onDragStart={(event) => {
                    dragged.current = selected?.has(row.key) === true ? rows.filter((one) => selected.has(one.row.key)).map((one) => one.row.key) : [row.key];
                    event.dataTransfer.effectAllowed = 'move';
                    event.dataTransfer.setData('text/plain', row.title);
                  }}
                  onDragEnd={() => {
                    dragged.current = [];
                    setDrop(null);
                  }}
                  onClick={(event) => onTitle(event, item.index)}
                >
                  <div className={css.o} style={{ paddingLeft: 14 + row.depth * 16 }}>
                    <span className={css.t} title={row.title}>
                      {row.title}
                    </span>
                    <RowTag row={row} />
                    {rowMenu?.(row)}
                  </div>
                </th>
                {columns.map((column, at) => (
                  <td
                    key={column.id}
                    data-row={row.key}
                    data-column={column.id}
                    tabIndex={item.index === focused.row && at === focused.column ? 0 : -1}
                    onFocus={() => {
                      setFocus({ row: item.index, column: at });
                      selection.focused(item.index);
                      onFocusRow?.(row);
                      onFocusColumn?.(at);
                    }}
                    onClick={() => onActivate?.(index, at, false)}
                  >
                    {cell(index, at)}
                  </td>
                ))}
                {!filled && <td aria-hidden />}
              </tr>
            );
          })}
          {after > 0 && <tr aria-hidden style={{ height: after }} />}
        </tbody>
      </table>
    </div>
  );
}

function RowTag({ row }: { row: OutlineRow }) {
  const tag = row.draft ? 'draft' : row.kind === 'board' || row.kind === 'part' ? row.kind : null;
  return tag === null ? null : <span className={css.tag}>{tag}</span>;
}

import { type MouseEvent, useEffect, useRef, useState } from 'react';

import { type CellRange, type Picked, TITLE } from './useCellRange';

/** Where a cell stands among those that are shown. */
export interface CellPlace {
  row: number;
  /** {@link TITLE} is the title's. */
  column: number;
}

interface Block {
  rows: readonly [number, number];
  columns: readonly [number, number];
}

export interface CellDragProps {
  keys: readonly string[];
  focused: CellPlace;
  picked: Picked | undefined;
  range: CellRange;
  onFill: ((from: readonly [number, number], to: readonly [number, number], columns: readonly [number, number]) => void) | undefined;
}

/** Selecting cells by drag, and filling further rows by the corner of what is selected. */
export function useCellDrag({ keys, focused, picked, range, onFill }: CellDragProps) {
  const held = useRef<{ from: CellPlace; fills: boolean; moved: boolean } | null>(null);
  const before = useRef<CellPlace | null>(null);
  const [fill, setFill] = useState<number | null>(null);
  const block = blockOf(keys, focused, picked);
  // The latest of what the release of the button needs, which is heard by the window.
  const latest = useRef({ fill, block, onFill });
  useEffect(() => {
    latest.current = { fill, block, onFill };
  });
  useEffect(() => {
    const release = () => {
      const { fill: to, block: from, onFill: act } = latest.current;
      if (held.current?.fills === true && to !== null && act !== undefined) {
        act(from.rows, to > from.rows[1] ? [from.rows[1] + 1, to] : [to, from.rows[0] - 1], from.columns);
      }
      held.current = held.current?.fills === true ? null : held.current;
      setFill(null);
    };
    window.addEventListener('mouseup', release);
    return () => window.removeEventListener('mouseup', release);
  }, []);

  return {
    block,
    placeOf,
    onMouseDown: (event: MouseEvent) => {
      const from = placeOf(event.target);
      const fills = event.target instanceof Element && event.target.closest('[data-fill]') !== null;
      before.current = document.activeElement instanceof HTMLTableCellElement ? placeOf(document.activeElement) : null;
      held.current = from === null || event.button !== 0 || event.shiftKey || isField(event.target) ? null : { from, fills, moved: false };
      if (fills) {
        event.preventDefault();
      } else if (from !== null && event.shiftKey && from.column !== TITLE && event.button === 0) {
        range.upTo(from.row, from.column);
        range.extend(true);
      }
    },
    onMouseOver: (event: MouseEvent) => {
      const at = placeOf(event.target);
      const hold = held.current;
      if (at === null || hold === null || event.buttons !== 1 || (at.row === hold.from.row && at.column === hold.from.column && !hold.moved)) {
        return;
      }
      if (hold.fills) {
        setFill(at.row >= block.rows[0] && at.row <= block.rows[1] ? null : at.row);
      } else if (hold.from.column !== TITLE && picked !== undefined) {
        hold.moved = true;
        window.getSelection()?.removeAllRanges();
        range.upTo(at.row, Math.max(0, at.column));
      }
    },
    /** Whether the click that has just come ends a drag over cells. */
    dragged: () => held.current?.moved === true,
    /** Whether the cell had the focus before the button was pressed. */
    wasThere: (at: CellPlace) => before.current?.row === at.row && before.current.column === at.column,
    /** Whether what is dragged by the corner would be filled in in a row. */
    filling: (row: number) => fill !== null && ((row > block.rows[1] && row <= fill) || (row < block.rows[0] && row >= fill)),
  };
}

/** The cell that something on the page belongs to; null: none. */
function placeOf(target: EventTarget | null): CellPlace | null {
  const cell = target instanceof Element ? target.closest<HTMLElement>('[data-cell]') : null;
  return cell === null ? null : { row: Number(cell.dataset['at']), column: Number(cell.dataset['col']) };
}

function isField(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest('input, textarea, button, a, [role=button]') !== null;
}

/** The cells from which others would be filled: those that are selected beside each other, or the one that has the focus. */
function blockOf(keys: readonly string[], focused: CellPlace, picked: Picked | undefined): Block {
  if (picked !== undefined && picked.columns !== null && picked.rows.size > 0) {
    const first = keys.findIndex((key) => picked.rows.has(key));
    const last = keys.findLastIndex((key) => picked.rows.has(key));
    return { rows: [first, last], columns: picked.columns };
  }
  return { rows: [focused.row, focused.row], columns: [focused.column, focused.column] };
}

import { useRef } from 'react';

/** What is selected in a grid. */
export interface Picked {
  /** By key. */
  rows: ReadonlySet<string>;
  /** From which column to which, both counted; null: whole rows. */
  columns: readonly [number, number] | null;
}

export const NOTHING_PICKED: Picked = { rows: new Set(), columns: null };

/** The column of the titles, which stands before the first of a lens. */
export const TITLE = -1;

export interface CellRange {
  /** A click on the head of a row: alone, beside the others (`more`), or as far as it (`range`). Whether it is one of the selected then. */
  byHand: (at: number, more: boolean, range: boolean) => boolean;
  /** As far as a cell from where the selection began. */
  upTo: (row: number, column: number) => void;
  /**
   * The focus has come to a cell: a selection begins there, unless it is the one that is being extended. Whole rows stay selected
   * while the focus is on one of them, in whichever column; of cells none does.
   */
  focused: (row: number, column: number) => void;
  /** The focus is on its way to the other end of a selection (or not): its beginning stays. */
  extend: (extending: boolean) => void;
}

/** Which rows and cells are selected as one goes about it with a mouse or a keyboard. */
export function useCellRange(keys: readonly string[], picked: Picked | undefined, onPicked: ((picked: Picked) => void) | undefined): CellRange {
  const anchor = useRef({ row: 0, column: 0 });
  const extending = useRef(false);
  const rowsTo = (at: number) => {
    const end = Math.max(0, Math.min(keys.length - 1, at));
    return new Set(keys.slice(Math.min(anchor.current.row, end), Math.max(anchor.current.row, end) + 1));
  };
  return {
    upTo: (row, column) => {
      const begun = anchor.current.column;
      onPicked?.({ rows: rowsTo(row), columns: begun === TITLE || column === TITLE ? null : [Math.min(begun, column), Math.max(begun, column)] });
    },
    byHand: (at, more, range) => {
      const key = keys[at];
      if (range || key === undefined) {
        onPicked?.({ rows: rowsTo(at), columns: null });
        return key !== undefined;
      }
      anchor.current = { row: at, column: TITLE };
      const rows = new Set(more && picked?.columns === null ? picked.rows : []);
      const out = rows.has(key);
      if (out && more) {
        rows.delete(key);
      } else {
        rows.add(key);
      }
      onPicked?.({ rows, columns: null });
      return !(out && more);
    },
    focused: (row, column) => {
      if (!extending.current) {
        anchor.current = { row, column };
        if (picked !== undefined && picked.rows.size > 0 && (picked.columns !== null || !picked.rows.has(keys[row] ?? ''))) {
          onPicked?.(NOTHING_PICKED);
        }
      }
      extending.current = false;
    },
    extend: (on) => {
      extending.current = on;
    },
  };
}

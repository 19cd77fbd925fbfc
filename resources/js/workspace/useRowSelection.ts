import { useRef } from 'react';

export interface RowSelection {
  /** A click on the head of a row: alone, beside the others (`more`), or as far as it (`range`). */
  byHand: (at: number, more: boolean, range: boolean) => void;
  /** As far as a row from where the selection began. */
  upTo: (at: number) => void;
  /** The focus has come to a row: a selection by keyboard begins there, unless it is the one that is being extended. */
  focused: (at: number) => void;
  /** The focus is on its way to the other end of a selection (or not): its beginning stays. */
  extend: (extending: boolean) => void;
}

/** Which rows are selected, by key, as one goes about it with a mouse or a keyboard. */
export function useRowSelection(keys: readonly string[], selected: ReadonlySet<string> | undefined, onSelect: ((selected: ReadonlySet<string>) => void) | undefined): RowSelection {
  const anchor = useRef(0);
  const extending = useRef(false);
  const upTo = (at: number) => {
    const end = Math.max(0, Math.min(keys.length - 1, at));
    onSelect?.(new Set(keys.slice(Math.min(anchor.current, end), Math.max(anchor.current, end) + 1)));
  };
  return {
    upTo,
    byHand: (at, more, range) => {
      const key = keys[at];
      if (range || key === undefined) {
        upTo(at);
        return;
      }
      anchor.current = at;
      const next = new Set(more ? selected : []);
      if (selected?.has(key) === true && (more || selected.size === 1)) {
        next.delete(key);
      } else {
        next.add(key);
      }
      onSelect?.(next);
    },
    focused: (at) => {
      if (!extending.current) {
        anchor.current = at;
      }
      extending.current = false;
    },
    extend: (on) => {
      extending.current = on;
    },
  };
}

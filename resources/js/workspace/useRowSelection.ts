import { useRef } from 'react';

export interface RowSelection {
  /** A click on the head of a row: alone, beside the others (`more`), or as far as it (`range`). Whether it is one of the selected then. */
  byHand: (at: number, more: boolean, range: boolean) => boolean;
  /** As far as a row from where the selection began. */
  upTo: (at: number) => void;
  /** The focus has come to a row: a selection by keyboard begins there, unless it is the one that is being extended. Of rows elsewhere none stays selected: what is edited is where one is. */
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
        return key !== undefined;
      }
      anchor.current = at;
      const next = new Set(more ? selected : []);
      const out = more && selected?.has(key) === true;
      if (out) {
        next.delete(key);
      } else {
        next.add(key);
      }
      onSelect?.(next);
      return !out;
    },
    focused: (at) => {
      if (!extending.current) {
        anchor.current = at;
        if (selected !== undefined && selected.size > 0 && !selected.has(keys[at] ?? '')) {
          onSelect?.(new Set());
        }
      }
      extending.current = false;
    },
    extend: (on) => {
      extending.current = on;
    },
  };
}

import { createContext, useContext, useMemo, useState } from 'react';

import { withQuery } from '../lib/address';
import type { OutlineRow } from '../lib/generated/types';

export interface Folds {
  /** The modules and lessons that hold something, by key. */
  holds: ReadonlySet<string>;
  folded: ReadonlySet<string>;
  toggle: (key: string) => void;
  /** All modules up, or everything out. */
  all: (up: boolean) => void;
}

const None = createContext<Folds>({ holds: new Set(), folded: new Set(), toggle: () => undefined, all: () => undefined });

export const FoldsProvider = None.Provider;

export function useFolds(): Folds {
  return useContext(None);
}

/** Which rows are folded up. It lives in the address, the same in every lens. */
export function useFolding(rows: OutlineRow[]): Folds {
  const [folded, setFolded] = useState<ReadonlySet<string>>(() => new Set(new URLSearchParams(window.location.search).getAll('fold[]')));
  const holds = useMemo(() => new Set(rows.filter((row, index) => (rows[index + 1]?.depth ?? 0) > row.depth).map(({ key }) => key)), [rows]);
  return useMemo(() => {
    const show = (next: ReadonlySet<string>) => {
      setFolded(next);
      window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { fold: next.size === 0 ? null : [...next] }));
    };
    return {
      holds,
      folded,
      toggle: (key) => {
        const next = new Set(folded);
        if (!next.delete(key)) {
          next.add(key);
        }
        show(next);
      },
      all: (up) => show(new Set(up ? rows.filter(({ key, kind }) => kind === 'module' && holds.has(key)).map(({ key }) => key) : [])),
    };
  }, [rows, holds, folded]);
}

/** Without what is inside rows that are folded up. */
export function unfolded<T extends { row: OutlineRow }>(rows: T[], folded: ReadonlySet<string>): T[] {
  let under = Number.POSITIVE_INFINITY;
  return rows.filter(({ row }) => {
    if (row.depth > under) {
      return false;
    }
    under = folded.has(row.key) ? row.depth : Number.POSITIVE_INFINITY;
    return true;
  });
}

import { useEffect, useState } from 'react';

import type { CellName } from './entry/ruleSets';

export interface CutWords {
  column: CellName;
  words: string;
}

/** What the cell says that has the focus, where it has no room for all of it. */
export function useCutWords(): CutWords | null {
  const [cut, setCut] = useState<CutWords | null>(null);
  useEffect(() => {
    const look = ({ target }: FocusEvent) => {
      const cell = target instanceof HTMLTableCellElement ? target : null;
      const words = cell?.querySelector<HTMLElement>('[data-words]') ?? null;
      setCut(cell === null || words === null || words.scrollHeight <= words.clientHeight + 1 ? null : { column: (cell.dataset['column'] ?? '') as CellName, words: (words.textContent ?? '').trim() });
    };
    document.addEventListener('focusin', look);
    return () => document.removeEventListener('focusin', look);
  }, []);
  return cut;
}

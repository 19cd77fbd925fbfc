import { useState } from 'react';

import type { RuleColumn } from '../lib/generated/types';
import { send } from '../lib/http';
import { to } from '../lib/route';
import { COLUMNS } from './lenses/rules';

/** Of a column in pixels (app/Drafts/Rules/RuleColumn.php). */
export const WIDTHS = { least: 48, most: 640 };

/** The columns of the Rules lens as they are until somebody arranges them otherwise. */
export const USUAL: RuleColumn[] = COLUMNS.map(({ id, width }) => ({ id, width }));

export interface Columns {
  shown: RuleColumn[];
  /** Shows them so from now on, in every course and wherever one signs in. */
  arrange: (columns: RuleColumn[]) => void;
  /** Shows one wider or narrower; `kept` once it stays so. */
  widen: (id: string, width: number, kept: boolean) => void;
}

/** @param arranged as they were arranged before; none: as they are at first */
export function useColumns(arranged: RuleColumn[]): Columns {
  const [shown, setShown] = useState(arranged.length === 0 ? USUAL : arranged);
  const keep = (columns: RuleColumn[]) => void send(to('keep.columns'), { columns: JSON.stringify(columns) === JSON.stringify(USUAL) ? [] : columns });
  return {
    shown,
    arrange: (columns) => {
      setShown(columns);
      keep(columns);
    },
    widen: (id, width, kept) => {
      const next = shown.map((column) => (column.id === id ? { ...column, width: Math.round(Math.max(WIDTHS.least, Math.min(WIDTHS.most, width))) } : column));
      setShown(next);
      if (kept) {
        keep(next);
      }
    },
  };
}

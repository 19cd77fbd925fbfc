import type { ReactNode } from 'react';

import type { OutlineRow, RuleRow } from '../lib/types';
import { counted } from '../lib/words';
import { AfterEditor } from './AfterEditor';
import { ChoiceEditor, isChoice } from './ChoiceEditor';
import { TiersEditor } from './TiersEditor';
import { TimeEditor } from './TimeEditor';

export interface RuleEditorProps {
  course: string;
  version: number;
  plan: string | null;
  tiers: string[];
  column: string;
  row: RuleRow;
  /** The whole outline, to choose from what comes first. */
  outline: OutlineRow[];
  /** The rows that are set together, the one whose cell was entered among them. */
  rows: OutlineRow[];
  onClose: () => void;
  children: ReactNode;
}

/** Whether a cell of this column can be edited in a course like this. */
export function isEditable(column: string, plan: string | null, tiers: string[]): boolean {
  return column === 'after' || isChoice(column) || (column === 'forWhom' ? tiers.length > 0 : plan !== null && (column === 'opens' || column === 'closes'));
}

/** The editor that fits a column of the Rules lens, for one row or for several at once. */
export function RuleEditor({ course, version, plan, tiers, column, row, outline, rows, onClose, children }: RuleEditorProps) {
  const items = rows.map((one) => one.key);
  const title = rows.length === 1 ? (rows[0]?.title ?? '') : counted(rows.length, 'row');
  const common = { course, version, items, title, onClose };
  if (isChoice(column)) {
    return (
      <ChoiceEditor {...common} column={column}>
        {children}
      </ChoiceEditor>
    );
  }
  if (column === 'after') {
    return (
      <AfterEditor {...common} outline={outline} rule={row.afterRule} modules={rows.every((one) => one.kind === 'module')}>
        {children}
      </AfterEditor>
    );
  }
  if (column === 'forWhom') {
    return (
      <TiersEditor {...common} all={tiers} tiers={row.tiers}>
        {children}
      </TiersEditor>
    );
  }
  if (plan !== null && (column === 'opens' || column === 'closes')) {
    return (
      <TimeEditor {...common} which={column} plan={plan} rule={column === 'opens' ? row.opening : row.closing}>
        {children}
      </TimeEditor>
    );
  }
  return children;
}

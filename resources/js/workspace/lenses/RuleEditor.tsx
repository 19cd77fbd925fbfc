import type { ReactNode } from 'react';

import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { ConditionEditor, type ConditionNames } from '../sheet/ConditionEditor';
import { FinishEditor } from '../sheet/FinishEditor';
import { AfterEditor } from './AfterEditor';
import { ChoiceEditor, isChoice } from './ChoiceEditor';
import { TiersEditor } from './TiersEditor';
import { TimeEditor } from './TimeEditor';

export interface RuleEditorProps {
  course: string;
  version: number;
  plan: string | null;
  names: ConditionNames;
  /** A column of the Rules lens, or a word of the sheet. */
  column: string;
  row: RuleRow;
  /** The rows that are set together, the one whose cell was entered among them. */
  rows: OutlineRow[];
  onClose: () => void;
  children: ReactNode;
}

/** The editor that fits a rule, for one row or for several at once. */
export function RuleEditor({ course, version, plan, names, column, row, rows, onClose, children }: RuleEditorProps) {
  const items = rows.map((one) => one.key);
  const title = rows.length === 1 ? (rows[0]?.title ?? '') : say('keep.rows', { count: rows.length });
  const common = { course, version, items, title, onClose };
  if (isChoice(column)) {
    return (
      <ChoiceEditor {...common} column={column}>
        {children}
      </ChoiceEditor>
    );
  }
  switch (column) {
    case 'after':
      return (
        <AfterEditor {...common} outline={names.outline} rule={row.afterRule} modules={rows.every((one) => one.kind === 'module')}>
          {children}
        </AfterEditor>
      );
    case 'tiers':
      return (
        <TiersEditor {...common} all={names.tiers} tiers={row.tiers}>
          {children}
        </TiersEditor>
      );
    case 'only':
      return (
        <ConditionEditor {...common} only={row.only} names={names}>
          {children}
        </ConditionEditor>
      );
    case 'finish':
      return (
        <FinishEditor {...common} finish={row.finish}>
          {children}
        </FinishEditor>
      );
    case 'opens':
    case 'closes':
      return plan === null ? (
        children
      ) : (
        <TimeEditor {...common} which={column} plan={plan} rule={column === 'opens' ? row.opening : row.closing}>
          {children}
        </TimeEditor>
      );
    default:
      return children;
  }
}

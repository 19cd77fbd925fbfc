import { Link } from '@inertiajs/react';

import type { RuleCell, RuleRow } from '../lib/types';
import type { GridColumn } from '../ui/Grid';

type CellName = Exclude<keyof RuleRow, 'opening' | 'closing' | 'afterRule' | 'tiers'>;

const COLUMNS: { id: CellName; title: string; detail: string; width?: number }[] = [
  { id: 'opens', title: 'Opens', detail: '', width: 248 },
  { id: 'closes', title: 'Closes', detail: '', width: 122 },
  { id: 'after', title: 'After', detail: 'finished first', width: 136 },
  { id: 'forWhom', title: 'For whom', detail: 'passes, labels', width: 124 },
  { id: 'sample', title: 'Sample', detail: '', width: 72 },
  { id: 'guests', title: 'Guests', detail: '', width: 72 },
  { id: 'observers', title: 'Observers', detail: '', width: 84 },
  { id: 'whenClosed', title: 'When closed', detail: '' },
];

export function columnName(column: number): string {
  return COLUMNS[column]?.id ?? '';
}

export interface RulesHeadProps {
  plans: string[];
  plan: string | null;
  addressOf: (plan: string) => string;
}

export function rulesColumns({ plans, plan, addressOf }: RulesHeadProps): GridColumn[] {
  return COLUMNS.map(({ id, title, detail, width }) => ({
    id,
    ...(width === undefined ? {} : { width }),
    head: (
      <div className="h">
        <b>{title}</b>
        {id === 'opens' && plans.length > 1 ? (
          <span>
            {plans.map((name) => (
              <Link key={name} href={addressOf(name)} preserveState preserveScroll aria-current={name === plan || undefined}>
                {name}
              </Link>
            ))}
          </span>
        ) : (
          <span>{id === 'opens' || id === 'closes' ? (plan ?? 'no release plan') : detail}</span>
        )}
      </div>
    ),
  }));
}

export function RulesCell({ row, column }: { row: RuleRow; column: number }) {
  const name = COLUMNS[column]?.id;
  if (name === undefined) {
    return null;
  }
  return <RuleWords cell={row[name]} />;
}

function RuleWords({ cell }: { cell: RuleCell }) {
  return (
    <div className={`r${cell.own ? ' own' : ''}${cell.edited ? ' edit' : ''}`} title={cell.vain ?? cell.words}>
      {cell.vain === null ? (
        <span className="t">{cell.words}</span>
      ) : (
        <>
          <s className="t">{cell.words}</s>
          <span className="vh"> (no effect: {cell.vain})</span>
        </>
      )}
      {cell.edited && <span className="vh"> (not published yet)</span>}
    </div>
  );
}

import { router } from '@inertiajs/react';

import type { RuleCell, RuleRow } from '../../lib/generated/types';
import type { GridColumn } from '../Grid';

type CellName = 'opens' | 'closes' | 'after' | 'optional' | 'forWhom' | 'sample' | 'guests' | 'observers' | 'whenClosed';

const COLUMNS: { id: CellName; title: string; detail: string; width?: number }[] = [
  { id: 'opens', title: 'Opens', detail: '', width: 218 },
  { id: 'closes', title: 'Closes', detail: '', width: 106 },
  { id: 'after', title: 'After', detail: 'finished first', width: 130 },
  { id: 'optional', title: 'Optional', detail: '', width: 82 },
  { id: 'forWhom', title: 'For whom', detail: 'passes, labels', width: 116 },
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
  /** Opens the list of release plans; left out: it cannot be changed. */
  onPlans?: () => void;
}

export function rulesColumns({ plans, plan, addressOf, onPlans }: RulesHeadProps): GridColumn[] {
  return COLUMNS.map(({ id, title, detail, width }) => ({
    id,
    ...(width === undefined ? {} : { width }),
    head: (
      <div className="h">
        <b>{title}</b>
        {id === 'opens' ? (
          <span className="plans">
            {plans.length > 1 ? (
              <select aria-label="Release plan that is shown" value={plan ?? ''} onChange={(event) => router.visit(addressOf(event.currentTarget.value), { preserveState: true, preserveScroll: true })}>
                {plans.map((name) => (
                  <option key={name}>{name}</option>
                ))}
              </select>
            ) : (
              <span>{plan ?? 'no release plan'}</span>
            )}
            {onPlans !== undefined && (
              <button type="button" className="linklike" onClick={onPlans}>
                plans…
              </button>
            )}
          </span>
        ) : (
          <span>{id === 'closes' ? (plan ?? '') : detail}</span>
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
    <div className={`r${cell.own === true ? ' own' : ''}${cell.edited === true ? ' edit' : ''}`} title={cell.vain ?? cell.words}>
      {cell.vain === undefined ? (
        <span className="t">{cell.words}</span>
      ) : (
        <>
          <s className="t">{cell.words}</s>
          <span className="vh"> (no effect: {cell.vain})</span>
        </>
      )}
      {cell.edited === true && <span className="vh"> (not published yet)</span>}
    </div>
  );
}

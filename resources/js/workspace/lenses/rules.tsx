import { router } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { RuleCell, RuleRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import type { GridColumn } from '../Grid';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

type CellName = 'opens' | 'closes' | 'after' | 'optional' | 'forWhom' | 'sample' | 'guests' | 'observers' | 'whenClosed';

const COLUMNS: { id: CellName; title: string; detail: string; width?: number }[] = [
  { id: 'opens', title: say('lenses.rules.opens'), detail: '', width: 218 },
  { id: 'closes', title: say('lenses.rules.closes'), detail: '', width: 106 },
  { id: 'after', title: say('lenses.rules.after'), detail: say('lenses.rules.finished_first'), width: 130 },
  { id: 'optional', title: say('lenses.rules.optional'), detail: '', width: 82 },
  { id: 'forWhom', title: say('lenses.rules.for_whom'), detail: say('lenses.rules.passes_labels'), width: 116 },
  { id: 'sample', title: say('lenses.rules.sample'), detail: '', width: 72 },
  { id: 'guests', title: say('lenses.rules.guests'), detail: '', width: 72 },
  { id: 'observers', title: say('keep.observers'), detail: '', width: 84 },
  { id: 'whenClosed', title: say('lenses.rules.when_closed'), detail: '' },
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
      <div className={css.h}>
        <b>{title}</b>
        {id === 'opens' ? (
          <span className={css.plans}>
            {plans.length > 1 ? (
              <select aria-label={say('lenses.rules.release_plan_that_shown')} value={plan ?? ''} onChange={(event) => router.visit(addressOf(event.currentTarget.value), { preserveState: true, preserveScroll: true })}>
                {plans.map((name) => (
                  <option key={name}>{name}</option>
                ))}
              </select>
            ) : (
              <span>{plan ?? say('lenses.rules.no_release_plan')}</span>
            )}
            {onPlans !== undefined && (
              <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onPlans}>
                {say('lenses.rules.plans')}
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
    <div className={clsx(css.r, cell.own === true && css.own, cell.edited === true && css.edit)} title={cell.vain ?? cell.words}>
      {cell.vain === undefined ? (
        <span className={css.t}>{cell.words}</span>
      ) : (
        <>
          <s className={css.t}>{cell.words}</s>
          <span className={ui.vh}> {say('lenses.rules.no_effect', { why: cell.vain })}</span>
        </>
      )}
      {cell.edited === true && <span className={ui.vh}> {say('lenses.rules.not_published')}</span>}
    </div>
  );
}

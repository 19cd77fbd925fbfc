import { router } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { RuleCell, RuleRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { columnHelp } from '../RuleHelp';
import { HeadHelp } from '../../ui/HeadHelp';
import { COLUMN_TITLES } from '../entry/columnTitles';
import type { CellName } from '../entry/ruleSets';
import type { GridColumn } from '../grid/Grid';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

/** Each column of the lens, as it is until somebody arranges them otherwise. */
export const COLUMNS: { id: CellName; detail: string; width: number }[] = [
  { id: 'opens', detail: '', width: 180 },
  { id: 'closes', detail: '', width: 108 },
  { id: 'after', detail: say('lenses.rules.finished_first'), width: 108 },
  { id: 'optional', detail: '', width: 76 },
  { id: 'forWhom', detail: say('lenses.rules.passes_labels'), width: 108 },
  { id: 'sample', detail: '', width: 72 },
  { id: 'guests', detail: '', width: 66 },
  { id: 'observers', detail: '', width: 88 },
  { id: 'whenClosed', detail: '', width: 100 },
  { id: 'finish', detail: say('lenses.rules.on_what_grounds'), width: 114 },
];

export interface RulesHeadProps {
  columns: { id: CellName; width: number }[];
  plans: string[];
  plan: string | null;
  addressOf: (plan: string) => string;
  /** Opens the list of release plans; left out: it cannot be changed. */
  onPlans?: () => void;
  /** The column that is being explained, of a row as an example. */
  explained: CellName | null;
  example: string;
  onExplain: (column: CellName | null) => void;
}

export function rulesColumns({ columns, plans, plan, addressOf, onPlans, explained, example, onExplain }: RulesHeadProps): GridColumn[] {
  return columns.map(({ id, width }) => ({
    id,
    width,
    title: COLUMN_TITLES[id],
    head: (
      <div className={css.h}>
        <HeadHelp title={COLUMN_TITLES[id]} told={columnHelp(id, example)} chapter="2-rules" skipped opened={explained === id} onOpened={(opened) => onExplain(opened ? id : null)} />
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
          <span>{id === 'closes' ? (plan ?? '') : COLUMNS.find((column) => column.id === id)?.detail}</span>
        )}
      </div>
    ),
  }));
}

export function RulesCell({ row, column }: { row: RuleRow; column: CellName }) {
  if (column !== 'finish') {
    return <RuleWords cell={row[column]} />;
  }
  const { finish } = row;
  return finish === undefined ? null : <RuleWords cell={{ words: finish.words, own: finish.by !== 'mark', ...(finish.edited === true ? { edited: true } : {}) }} />;
}

function RuleWords({ cell }: { cell: RuleCell }) {
  return (
    <div className={clsx(css.r, cell.own === true && css.own, cell.edited === true && css.edit)} title={cell.vain ?? cell.words}>
      {cell.vain === undefined ? (
        <span className={css.t} data-words>
          {cell.words}
        </span>
      ) : (
        <>
          <s className={css.t} data-words>
            {cell.words}
          </s>
          <span className={ui.vh}> {say('lenses.rules.no_effect', { why: cell.vain })}</span>
        </>
      )}
      {cell.edited === true && <span className={ui.vh}> {say('lenses.rules.not_published')}</span>}
    </div>
  );
}

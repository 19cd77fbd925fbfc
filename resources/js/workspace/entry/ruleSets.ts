import type { RuleRow } from '../../lib/generated/types';

/** The columns of the Rules lens that bear a rule. */
export type CellName = 'opens' | 'closes' | 'after' | 'optional' | 'forWhom' | 'sample' | 'guests' | 'observers' | 'whenClosed' | 'finish';

type Value = string | number | boolean | null | Value[] | { [key: string]: Value };

/** A rule as the draft takes it (app/Http/Requests/RuleInput.php), for no row yet. */
export interface Rule {
  set: string;
  [field: string]: Value;
}

/** The same, for rows by key. */
export interface RuleSet extends Rule {
  items: string[];
}

const CHOICES = { optional: 'optional', sample: 'sample', guests: 'guests', observers: 'observers', whenClosed: 'when_closed' } as const;

/** What a cell has set, to be set elsewhere; null where it is of no release plan, or of a row that has no such rule. */
export function rulesOf(column: CellName, row: RuleRow, plan: string | null): Rule[] | null {
  switch (column) {
    case 'opens':
    case 'closes': {
      const rule = column === 'opens' ? row.opening : row.closing;
      return plan === null ? null : [timeRule(column, plan, { rule: rule?.rule ?? '', at: rule?.at ?? '', days: rule?.days ?? null, time: rule?.time ?? '', weekday: rule?.weekday ?? null })];
    }
    case 'after':
      return [{ set: 'after', mode: row.afterRule?.mode ?? 'all', of: row.afterRule?.of ?? [], count: row.afterRule?.count ?? null, inOrder: row.afterRule?.inOrder ?? false }];
    case 'forWhom':
      return [
        { set: 'tiers', value: row.tiers ?? null },
        { set: 'only', value: (row.only ?? null) as Value },
      ];
    case 'finish':
      return row.finish === undefined ? null : [{ set: 'finish', by: row.finish.by, percent: row.finish.percent ?? null }];
    case 'guests':
    case 'observers':
      return [{ set: column, value: row[column].own === true ? row[column].words : 'as above' }];
    case 'whenClosed':
      return [{ set: CHOICES[column], value: row.whenClosed.own === true ? 'hidden' : 'shows' }];
    default:
      return [{ set: CHOICES[column], value: row[column].own === true ? 'yes' : 'no' }];
  }
}

/** What is set where a cell is emptied. */
export function emptyRules(column: CellName, row: RuleRow, plan: string | null): Rule[] | null {
  const nothing = { words: '' };
  const unset: RuleRow = { opens: nothing, closes: nothing, after: nothing, forWhom: nothing, optional: nothing, sample: nothing, guests: nothing, observers: nothing, whenClosed: nothing };
  return rulesOf(column, row.finish === undefined ? unset : { ...unset, finish: { by: 'mark', words: '' } }, plan);
}

export interface TimeFields {
  rule: string;
  at?: string;
  days?: number | null;
  time?: string;
  weekday?: number | null;
}

export function timeRule(set: 'opens' | 'closes', plan: string, { rule, at = '', days = null, time = '', weekday = null }: TimeFields): Rule {
  return { set, plan, rule, at, days, time, weekday };
}

/** Rules for rows, each the same rule once, with all the rows it is for. */
export function gathered(sets: { rule: Rule; item: string }[]): RuleSet[] {
  const byRule = new Map<string, RuleSet>();
  for (const { rule, item } of sets) {
    const name = JSON.stringify(rule);
    const known = byRule.get(name);
    if (known === undefined) {
      byRule.set(name, { ...rule, items: [item] });
    } else if (!known.items.includes(item)) {
      known.items.push(item);
    }
  }
  return [...byRule.values()];
}

/** A rule for no row yet, of one that is for some. */
export function bare({ items: _items, ...rule }: RuleSet): Rule {
  return rule as Rule;
}

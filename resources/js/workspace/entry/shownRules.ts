import type { AfterRule, FinishedBy, OpeningKind, OpeningRule, RuleRow } from '../../lib/generated/types';
import type { CellName, Rule } from './ruleSets';

/** A cell as it will be, once the draft has taken what was just set. */
export interface PendingCell {
  item: string;
  column: CellName;
  words: string;
  own: boolean;
  rules: Rule[];
  /** Whether it is other than what is published; left out: it is. */
  edited?: boolean;
}

/** A row with what waits to be kept: so that it shows at once, and that what is copied from it is what one sees. */
export function withPending(row: RuleRow, cells: PendingCell[]): RuleRow {
  return cells.reduce((now, { column, words, own, rules, edited = true }) => {
    const told = column === 'finish' ? {} : { [column]: { words: words === '' ? now[column].words : words, ...(own ? { own } : {}), ...(edited ? { edited } : {}) } };
    return rules.reduce((next, rule) => ({ ...without(next, rule.set), ...ruleField(rule, words) }), { ...now, ...told });
  }, row);
}

const FIELDS: Record<string, (keyof RuleRow)[]> = { opens: ['opening'], closes: ['closing'], after: ['afterRule', 'afterWords'], tiers: ['tiers'], only: ['only', 'onlyWords'] };

function without(row: RuleRow, set: string): RuleRow {
  const left = { ...row };
  for (const field of FIELDS[set] ?? []) {
    delete left[field];
  }
  return left;
}

/** As the server tells what is set (app/Drafts/Rules/RuleTable.php); nothing where nothing is. */
function ruleField(rule: Rule, words: string): Partial<RuleRow> {
  switch (rule.set) {
    case 'opens':
    case 'closes': {
      if (rule['rule'] === '') {
        return {};
      }
      const time: OpeningRule = { rule: rule['rule'] as OpeningKind, at: text(rule['at']), days: rule['days'] as number | null, time: text(rule['time']), weekday: rule['weekday'] as number | null };
      return rule.set === 'opens' ? { opening: time } : { closing: time };
    }
    case 'after': {
      const after: AfterRule = { mode: String(rule['mode']), of: rule['of'] as string[], count: rule['count'] as number | null, inOrder: rule['inOrder'] === true };
      return after.of.length === 0 && !after.inOrder ? {} : { afterRule: after, ...(after.of.length === 0 ? {} : { afterWords: words }) };
    }
    case 'tiers':
      return rule['value'] === null ? {} : { tiers: rule['value'] as string[] };
    case 'only':
      return rule['value'] === null ? {} : { only: rule['value'] as Record<string, unknown>, onlyWords: words };
    case 'finish':
      return { finish: { by: rule['by'] as FinishedBy, words, edited: true, ...(rule['percent'] === null ? {} : { percent: rule['percent'] as number }) } };
    default:
      return {};
  }
}

function text(value: unknown): string | null {
  return value === '' || value === undefined ? null : String(value);
}

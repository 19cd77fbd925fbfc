import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { type CellContext, meant } from './cellChoices';
import { COLUMN_TITLES } from './columnTitles';
import { bare, type CellName, emptyRules, gathered, type Rule, type RuleSet, rulesOf } from './ruleSets';
import type { PendingCell } from './shownRules';

/** A cell that was copied: of this grid with what it has set, of elsewhere the words alone. */
export interface CopiedCell {
  words: string;
  own: boolean;
  column: CellName | null;
  rules: Rule[] | null;
}

/** Cells beside each other, by row. */
export type CopiedCells = CopiedCell[][];

/** The grid as it is shown: what can be copied from it, and set in it. */
export interface RulesGrid {
  rows: { row: OutlineRow; rule: RuleRow }[];
  columns: CellName[];
  plan: string | null;
  contextOf: (row: OutlineRow, rule: RuleRow) => CellContext;
}

/** From which to which, both counted. */
export type Span = readonly [number, number];

export function copyCells({ rows, columns, plan }: RulesGrid, of: Span, across: Span): CopiedCells {
  return rows.slice(of[0], of[1] + 1).map(({ rule }) =>
    columns.slice(across[0], across[1] + 1).map((column) => {
      const cell = column === 'finish' ? { words: rule.finish?.words ?? '', own: rule.finish !== undefined && rule.finish.by !== 'mark' } : rule[column];
      return { words: cell.words, own: cell.own === true, column, rules: rulesOf(column, rule, plan) };
    }),
  );
}

/** As spreadsheets take it: tabs between cells, a line a row. */
export function toText(cells: CopiedCells): string {
  return cells.map((row) => row.map(({ words }) => words.replace(/[\t\r\n]+/g, ' ')).join('\t')).join('\n');
}

/** What a spreadsheet has copied. */
export function fromText(text: string): CopiedCells {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t').map((words) => ({ words: words.trim(), own: true, column: null, rules: null })));
}

/** How far cells reach from where they are put: over what is selected as often as they fit in it, or as far as they are. */
export function reach(cells: CopiedCells, rows: Span, columns: Span): { rows: Span; columns: Span } {
  const along = (size: number, [from, to]: Span): Span => ((to - from + 1) % size === 0 ? [from, to] : [from, from + size - 1]);
  return { rows: along(cells.length, rows), columns: along(Math.max(...cells.map((row) => row.length)), columns) };
}

export interface Pasted {
  sets: RuleSet[];
  cells: PendingCell[];
  /** Why nothing can be set; null: it can. */
  problem: string | null;
}

function refused(problem: string): Pasted {
  return { sets: [], cells: [], problem };
}

/** Puts cells into others, over and over where these are more: all of them, or none. Rows that have no such rule are passed over. */
export function putCells(cells: CopiedCells, grid: RulesGrid, rows: Span, columns: Span): Pasted {
  if (columns[1] >= grid.columns.length) {
    return refused(say('entry.clip.too_wide'));
  }
  if (rows[1] >= grid.rows.length) {
    return refused(say('entry.clip.too_long', { copied: cells.length, rows: grid.rows.length - rows[0] }));
  }
  const sets: { rule: Rule; item: string }[] = [];
  const pending: PendingCell[] = [];
  for (let at = rows[0]; at <= rows[1]; at++) {
    for (let across = columns[0]; across <= columns[1]; across++) {
      const line = cells[(at - rows[0]) % cells.length] ?? [];
      const from = line[(across - columns[0]) % Math.max(1, line.length)];
      const target = grid.rows[at];
      const column = grid.columns[across];
      if (from === undefined || target === undefined || column === undefined) {
        continue;
      }
      const empty = emptyRules(column, target.rule, grid.plan);
      if (empty === null) {
        continue;
      }
      const put = ruleOf(from, column, target, grid, empty);
      if (put === null) {
        return refused(say('entry.clip.cannot', { words: from.words, column: COLUMN_TITLES[column], title: target.row.title }));
      }
      sets.push(...put.rules.map((rule) => ({ rule, item: target.row.key })));
      pending.push({ item: target.row.key, column, words: put.words, own: put.own, rules: put.rules });
    }
  }
  return { sets: gathered(sets), cells: pending, problem: null };
}

function ruleOf(from: CopiedCell, column: CellName, { row, rule }: { row: OutlineRow; rule: RuleRow }, grid: RulesGrid, empty: Rule[]): { rules: Rule[]; words: string; own: boolean } | null {
  if (from.column === column && from.rules !== null) {
    // In the release plan that is shown, wherever it was copied.
    return { rules: from.rules.map((one) => ('plan' in one && grid.plan !== null ? { ...one, plan: grid.plan } : one)), words: from.words, own: from.own };
  }
  if (from.words === '' || (!from.own && from.column !== null)) {
    return { rules: empty, words: '', own: false };
  }
  const read = meant(column, from.words, grid.contextOf(row, rule));
  return read === null ? null : { rules: read.sets.map(bare), words: read.words, own: read.own };
}

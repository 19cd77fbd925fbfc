import { describe, expect, it } from 'vitest';

import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { copyCells, fromText, putCells, reach, type RulesGrid, toText } from './paste';
import type { CellName } from './ruleSets';
import { withPending } from './shownRules';

const CELL = { words: 'no' };
const BARE: RuleRow = { opens: { words: 'with its module' }, closes: { words: 'never' }, after: { words: 'nothing' }, forWhom: { words: 'every pass' }, optional: CELL, sample: CELL, guests: CELL, observers: CELL, whenClosed: { words: 'title shows' }, finish: { by: 'mark', words: 'by its learner’s mark' } };
const { finish: _finish, ...MODULE } = BARE;

function grid(columns: CellName[], rules: RuleRow[], plan: string | null = 'weekly'): RulesGrid {
  const outline = rules.map((rule, index): OutlineRow => ({ key: `r${index}`, title: `Row ${index}`, kind: rule.finish === undefined ? 'module' : 'lesson', depth: rule.finish === undefined ? 0 : 1, draft: false }));
  return {
    rows: outline.map((row, index) => ({ row, rule: rules[index] ?? BARE })),
    columns,
    plan,
    contextOf: (row, rule) => ({ rows: [row], row, rule, plan, outline, tiers: ['hand', 'foreman'], labels: [], offers: [], now: '2026-03-04T10:30', words: (wall) => wall }),
  };
}

const SEVEN: RuleRow = { ...BARE, opens: { words: '7 days after joining', own: true }, opening: { rule: 'after_start', at: null, days: 7, time: null, weekday: null }, sample: { words: 'yes', own: true } };
const seven = (plan: string) => ({ set: 'opens', plan, rule: 'after_start', at: '', days: 7, time: '', weekday: null });

describe('copying and pasting cells', () => {
  it('fills rows with what a cell has set, in one set', () => {
    const to = grid(['opens', 'sample'], [SEVEN, BARE, BARE]);
    const put = putCells(copyCells(to, [0, 0], [0, 0]), to, [1, 2], [0, 0]);
    expect(put.sets).toEqual([{ ...seven('weekly'), items: ['r1', 'r2'] }]);
    expect(put.cells.map(({ item, column, words, own }) => [item, column, words, own])).toEqual([['r1', 'opens', '7 days after joining', true], ['r2', 'opens', '7 days after joining', true]]);
  });

  it('repeats a block, and leaves out what a row cannot have', () => {
    const to = grid(['sample', 'finish'], [SEVEN, BARE, MODULE, BARE]);
    const put = putCells(copyCells(to, [0, 1], [0, 1]), to, [2, 3], [0, 1]);
    expect(put.sets).toEqual([
      { set: 'sample', value: 'yes', items: ['r2'] },
      { set: 'sample', value: 'no', items: ['r3'] },
      { set: 'finish', by: 'mark', percent: null, items: ['r3'] },
    ]);
  });

  it('sets in the release plan that is shown', () => {
    const copied = copyCells(grid(['opens'], [SEVEN]), [0, 0], [0, 0]);
    expect(putCells(copied, grid(['opens'], [BARE], 'slow'), [0, 0], [0, 0]).sets).toEqual([{ ...seven('slow'), items: ['r0'] }]);
  });

  it('reads the words of another column, or of a spreadsheet, or refuses all', () => {
    const to = grid(['sample', 'guests', 'opens'], [SEVEN, BARE]);
    expect(putCells(copyCells(to, [0, 0], [0, 0]), to, [1, 1], [1, 1]).sets).toEqual([{ set: 'guests', value: 'yes', items: ['r1'] }]);
    expect(putCells(fromText('yes\tnever\t14 days after joining\r\n\t\t\n'), to, [0, 1], [0, 2]).sets).toEqual([
      { set: 'sample', value: 'yes', items: ['r0'] },
      { set: 'guests', value: 'never', items: ['r0'] },
      { ...seven('weekly'), days: 14, items: ['r0'] },
      { set: 'sample', value: 'no', items: ['r1'] },
      { set: 'guests', value: 'as above', items: ['r1'] },
      { ...seven('weekly'), rule: '', days: null, items: ['r1'] },
    ]);
    expect(putCells(fromText('yes\tperhaps'), to, [0, 0], [0, 1])).toEqual({ sets: [], cells: [], problem: 'Nothing was pasted: “perhaps” is nothing that Guests of Row 0 can be.' });
  });

  it('keeps within the grid', () => {
    const to = grid(['sample', 'guests'], [BARE, BARE]);
    expect(putCells(fromText('yes\tno'), to, [0, 0], [1, 2]).problem).toContain('wider');
    expect(putCells(fromText('yes\nno'), to, [1, 2], [0, 0]).problem).toContain('has 2 rows, and from here on there is 1');
  });

  it('reaches as far as what is selected, where it fits in it', () => {
    const two = fromText('a\tb');
    expect(reach(two, [3, 3], [1, 1])).toEqual({ rows: [3, 3], columns: [1, 2] });
    expect(reach(two, [3, 9], [0, 3])).toEqual({ rows: [3, 9], columns: [0, 3] });
    expect(reach(two, [3, 9], [0, 2])).toEqual({ rows: [3, 9], columns: [0, 1] });
  });

  it('is text that comes back as it went', () => {
    const from = grid(['opens', 'sample'], [SEVEN, BARE]);
    expect(toText(copyCells(from, [0, 1], [0, 1]))).toBe('7 days after joining\tyes\nwith its module\tno');
    expect(putCells(fromText(toText(copyCells(from, [0, 1], [0, 1]))), from, [0, 1], [0, 1]).sets).toEqual(putCells(copyCells(from, [0, 1], [0, 1]), from, [0, 1], [0, 1]).sets);
  });
});

describe('what waits to be kept', () => {
  it('is copied as it is seen', () => {
    const rules = [seven('weekly')];
    const shown = withPending(BARE, [{ item: 'r0', column: 'opens', words: '7 days after joining', own: true, rules }]);
    expect(shown.opens).toEqual({ words: '7 days after joining', own: true, edited: true });
    expect(copyCells(grid(['opens'], [shown]), [0, 0], [0, 0])[0]?.[0]?.rules).toEqual(rules);
  });

  it('is nothing any more where a cell was emptied', () => {
    const shown = withPending(SEVEN, [{ item: 'r0', column: 'opens', words: '', own: false, rules: [{ ...seven('weekly'), rule: '' }] }]);
    expect(shown.opening).toBeUndefined();
  });
});

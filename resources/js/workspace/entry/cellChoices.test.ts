import { describe, expect, it } from 'vitest';

import type { OutlineRow, RuleRow } from '../../lib/generated/types';
import { SchoolTime } from '../../lib/time';
import { type CellContext, cellChoices, meant, takes } from './cellChoices';
import { bare, type CellName, emptyRules, gathered, rulesOf } from './ruleSets';

const ROWS: OutlineRow[] = [
  ['m-tools', 'Tools and timber', 'module', 0],
  ['l-timber', 'Choosing larch', 'lesson', 1],
  ['l-oak', 'Reading grain in oak', 'lesson', 1],
  ['p-grain', 'Grain, slow and fast', 'part', 2],
  ['b-wood', 'Talk of wood', 'board', 1],
  ['l-steam', 'The steam box', 'lesson', 1],
  ['m-planks', 'Planking', 'module', 0],
].map(([key, title, kind, depth]) => ({ key, title, kind, depth, draft: false }) as OutlineRow);

/** By where it stands. */
function row(at: number): OutlineRow {
  return ROWS[at] ?? expect.fail();
}

const CELL = { words: 'x' };
const RULE: RuleRow = { opens: CELL, closes: CELL, after: CELL, forWhom: CELL, optional: CELL, sample: CELL, guests: CELL, observers: CELL, whenClosed: CELL, finish: { by: 'mark', words: 'x' } };
/** Now is a Wednesday. */
const TIME = new SchoolTime([{ since: 0, seconds: 0 }], Date.parse('2026-03-04T10:30Z') / 1000);

function context(more: Partial<CellContext> = {}): CellContext {
  const own = more.row ?? row(1);
  return { rows: [own], row: own, rule: RULE, plan: 'weekly', outline: ROWS, tiers: ['apprentice', 'journeyman', 'master'], labels: ['cohort-b', 'oar-bonus'], offers: [{ key: 'trial', title: 'Yard trial', plan: null }], now: '2026-03-04T10:30', words: (wall) => TIME.words(TIME.instant(wall) ?? 0), ...more };
}

const words = (column: CellName, typed: string, more: Partial<CellContext> = {}) => cellChoices(column, typed, context(more)).map((one) => one.words);
const set = (column: CellName, typed: string, more: Partial<CellContext> = {}) => meant(column, typed, context(more))?.sets.map(bare);

describe('what can be typed into a cell', () => {
  it.each<[string, string[]]>([
    ['', ['with its module', 'at once', 'only when handed out', '7 days after joining', '7 days after the one before', '14 days after joining', '14 days after the one before']],
    ['14', ['14 days after joining', '14 days after the one before']],
    ['1', ['1 day after joining', '1 day after the one before']],
    ['2 weeks after joining 9', ['14 days after joining, 09:00']],
    ['7 days after the one before, next Mon, 09:00', ['7 days after the one before, next Mon, 09:00']],
    ['7 days after the o', ['7 days after the one before']],
    ['7 days af', ['7 days after joining', '7 days after the one before']],
    ['with the one before', ['with the one before']],
    ['on joining, 09:00', ['on joining, 09:00']],
    ['mon 9 mar 9', ['Mon 9 Mar, 09:00']],
    ['in 3 weeks', ['Wed 25 Mar, 00:00']],
    ['at', ['at once']],
    ['only', ['only when handed out']],
    ['7 days after lunch', []],
    ['99999', []],
    ['nonsense', []],
  ])('opens: %s', (typed, told) => expect(words('opens', typed)).toEqual(told));

  it('opens: the hour of before stays where another number of days is typed', () => {
    const rule: RuleRow = { ...RULE, opening: { rule: 'after_previous', at: null, days: 7, time: '09:00', weekday: 1 } };
    expect(words('opens', '3', { rule })).toEqual(['3 days after the one before, next Mon, 09:00', '3 days after the one before', '3 days after joining']);
    expect(words('opens', '3 days after joining', { rule })).toEqual(['3 days after joining']);
    expect(words('opens', '3 days after the one before', { rule })).toEqual(['3 days after the one before']);
  });

  it('opens: as the draft takes it', () => {
    expect(set('opens', '7 days after joining, next Mon, 09:00')).toEqual([{ set: 'opens', plan: 'weekly', rule: 'after_start', at: '', days: 7, time: '09:00', weekday: 1 }]);
    expect(set('opens', '9 mar 9')).toEqual([{ set: 'opens', plan: 'weekly', rule: 'on', at: '2026-03-09T09:00', days: null, time: '', weekday: null }]);
    expect(set('opens', 'with its module')).toEqual([{ set: 'opens', plan: 'weekly', rule: '', at: '', days: null, time: '', weekday: null }]);
    expect(cellChoices('opens', '14', context({ plan: null }))).toEqual([]);
  });

  it.each<[string, string[]]>([
    ['', ['never', '30 days after opening']],
    ['30', ['30 days after opening']],
    ['4 weeks', ['28 days after opening']],
    ['1 day after opening', ['1 day after opening']],
    ['30 at 9', []],
    ['30 days after joining', []],
    ['9 mar 18:00', ['Mon 9 Mar, 18:00']],
  ])('closes: %s', (typed, told) => expect(words('closes', typed)).toEqual(told));

  it.each<[string, string[]]>([
    ['steam', ['The steam box']],
    ['the steam box', ['The steam box']],
    ['grain', ['Grain, slow and fast', 'Reading grain in oak']],
    ['Tools and timber', ['Tools and timber']],
    ['Tools and timber and The steam box', ['Tools and timber and The steam box']],
    ['tools or steam', ['Tools and timber or The steam box']],
    ['reading, the st, Grain, slow and fast', ['Reading grain in oak, The steam box and Grain, slow and fast']],
    ['any 2 of reading, the st and plank', ['any 2 of Reading grain in oak, The steam box and Planking']],
    ['any 4 of reading, the st', []],
    ['talk', []],
    ['choosing', []],
    ['noth', ['nothing']],
  ])('after: %s', (typed, told) => expect(words('after', typed)).toEqual(told));

  it('after: the one before, for each row of a selection its own', () => {
    const rows = [row(2), row(5)];
    expect(words('after', 'the one', { rows, row: row(2) })).toEqual(['the one before']);
    expect(meant('after', 'the one', context({ rows: [row(2), row(6)], row: row(2) }))?.sets.map(({ items, of }) => [items, of])).toEqual([[['l-oak'], ['l-timber']], [['m-planks'], ['m-tools']]]);
    // Before the first there is none.
    expect(words('after', 'the one before', { rows: [row(0), row(6)] })).toEqual([]);
  });

  it('after: modules have what is inside in order, and keep it', () => {
    const module = { row: row(6), rows: [row(6)] };
    expect(set('after', 'inside', module)).toEqual([{ set: 'after', mode: 'all', of: [], count: null, inOrder: true }]);
    const rule: RuleRow = { ...RULE, afterRule: { mode: 'all', of: [], count: null, inOrder: true } };
    expect(set('after', 'steam', { ...module, rule })).toEqual([{ set: 'after', mode: 'all', of: ['l-steam'], count: null, inOrder: true }]);
    expect(set('after', 'The steam box · inside, in order', module)).toEqual([{ set: 'after', mode: 'all', of: ['l-steam'], count: null, inOrder: true }]);
  });

  it.each<[string, string[]]>([
    ['', ['every pass', 'apprentice', 'journeyman', 'master', 'label cohort-b', 'label oar-bonus']],
    ['j', ['journeyman']],
    ['master, jour', ['journeyman or master']],
    ['journeyman or master', ['journeyman or master']],
    ['label', ['label cohort-b', 'label oar-bonus']],
    ['label new-one', ['label new-one']],
    ['label oar', ['label oar-bonus', 'label oar']],
    ['not label cohort-b', ['not label cohort-b']],
    ['oar', ['label oar-bonus']],
    ['no pass', ['no pass']],
    ['smith', []],
    ['label oar-bonus and learners only', ['label oar-bonus and learners only']],
    ['by offer yard', ['by offer Yard trial']],
    ['master · label oar-bonus', ['master · label oar-bonus']],
    ['master or jour · not label cohort-b and guests', ['journeyman or master · not label cohort-b and guests only']],
    ['smith · label oar-bonus', []],
    ['label oar-bonus and', []],
    ['label a and label b or label c', []],
    ['label sand and oil', ['label sand and oil']],
  ])('for whom: %s', (typed, told) => expect(words('forWhom', typed)).toEqual(told));

  it('for whom: both are set as they are told', () => {
    expect(set('forWhom', 'master · label a and label b')).toEqual([{ set: 'tiers', value: ['master'] }, { set: 'only', value: { all: [{ label: 'a' }, { label: 'b' }] } }]);
    expect(set('forWhom', 'finished steam', { rule: { ...RULE, tiers: ['master'] } })).toEqual([{ set: 'tiers', value: ['master'] }, { set: 'only', value: { done: 'l-steam' } }]);
  });

  it('for whom: a condition is not lost unseen', () => {
    const rule: RuleRow = { ...RULE, only: { label: 'oar-bonus' }, onlyWords: 'label oar-bonus' };
    expect(words('forWhom', 'm', { rule })).toEqual(['master · label oar-bonus', 'master']);
    expect(set('forWhom', 'm', { rule })).toEqual([{ set: 'tiers', value: ['master'] }]);
  });

  it.each<[string, string[]]>([
    ['', ['by its learner’s mark', 'by the first visit', 'by watching 90 % of its video', 'by a quiz, from 70 %']],
    ['w', ['by watching 90 % of its video']],
    ['watch 50', ['by watching 50 % of its video']],
    ['by a quiz, from 80 %', ['by a quiz, from 80 %']],
    ['by watching 90 % of its video', ['by watching 90 % of its video']],
    ['by its learner’s mark', ['by its learner’s mark']],
    ['by the first visit', ['by the first visit']],
    ['60', ['by watching 60 % of its video', 'by a quiz, from 60 %']],
    ['watch 0', []],
    ['quiz 101', []],
    ['mark 9', []],
  ])('finished: %s', (typed, told) => expect(words('finish', typed)).toEqual(told));

  it('finished: not of a module', () => {
    const { finish: _finish, ...rule } = RULE;
    expect(words('finish', '', { rule })).toEqual([]);
  });

  it.each<[CellName, string, string[]]>([
    ['sample', 'y', ['yes']],
    ['guests', '', ['yes', 'no', 'as above', 'never']],
    ['observers', 'n', ['no', 'never']],
    ['whenClosed', 'h', ['hidden']],
    ['whenClosed', 'title shows', ['title shows']],
    ['optional', 'maybe', []],
  ])('%s: %s', (column, typed, told) => expect(words(column, typed)).toEqual(told));

  it('begins with letters and digits where they make sense', () => {
    expect([takes('opens', '4'), takes('sample', '4'), takes('sample', 'y'), takes('opens', '/'), takes('guests', '['), takes('after', 'å')]).toEqual([true, false, true, false, false, true]);
  });
});

describe('what a cell has set', () => {
  it('is set elsewhere as it is here', () => {
    const rule: RuleRow = { ...RULE, tiers: ['master'], guests: { words: 'never', own: true }, observers: { words: 'yes' }, sample: { words: 'yes', own: true } };
    expect(rulesOf('forWhom', rule, null)).toEqual([{ set: 'tiers', value: ['master'] }, { set: 'only', value: null }]);
    expect(['guests', 'observers', 'sample', 'optional', 'whenClosed'].map((column) => rulesOf(column as CellName, rule, null)?.[0]?.['value'])).toEqual(['never', 'as above', 'yes', 'no', 'shows']);
    expect(rulesOf('opens', rule, null)).toBeNull();
  });

  it('is emptied', () => {
    const rule: RuleRow = { ...RULE, tiers: ['master'], sample: { words: 'yes', own: true }, finish: { by: 'quiz', percent: 70, words: 'x' } };
    expect(emptyRules('finish', rule, null)).toEqual([{ set: 'finish', by: 'mark', percent: null }]);
    expect(emptyRules('sample', rule, null)).toEqual([{ set: 'sample', value: 'no' }]);
    expect(emptyRules('forWhom', rule, null)?.[0]).toEqual({ set: 'tiers', value: null });
  });

  it('is sent once for all rows that have the same', () => {
    const rule = { set: 'sample', value: 'yes' };
    expect(gathered([{ rule, item: 'a' }, { rule: { ...rule }, item: 'b' }, { rule, item: 'a' }, { rule: { set: 'sample', value: 'no' }, item: 'c' }])).toEqual([
      { ...rule, items: ['a', 'b'] },
      { set: 'sample', value: 'no', items: ['c'] },
    ]);
  });
});

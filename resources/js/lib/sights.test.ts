import { describe, expect, it } from 'vitest';

import type { OutlineRow, Sight, SightlinesGrid, State } from './generated/types';
import { countInside, differ, sightAt, ticksOf, turnsOf } from './sights';

// A sight has a state that it comes to then.
// oxlint-disable-next-line unicorn/no-thenable
const sight = (state: State, word: string | null = null): Sight => ({ glyph: state === 'open' ? 'open' : state === 'hidden' ? 'hidden' : 'locked', look: false, word, state, via: null, why: [], next: null, then: null });

const grid = { instants: [100, 200, 300], sights: [sight('locked'), sight('open'), sight('locked', 'again')], cells: [[[0, 0, 1, 1, 2, 2]], [[0, 0]]] } as unknown as SightlinesGrid;

const row = (kind: OutlineRow['kind'], depth: number, draft = false): OutlineRow => ({ key: `${kind}-${depth}`, title: '', kind, depth, draft });

describe('a cell over time', () => {
  it.each([
    [99, 'locked'],
    [199, 'locked'],
    [200, 'open'],
    [299, 'open'],
    [300, 'locked'],
    [9999, 'locked'],
  ])('at %i', (at, state) => {
    expect(sightAt(grid, grid.cells[0]?.[0], at)?.state).toBe(state);
  });

  it('is nothing where nothing is told', () => {
    expect(sightAt(grid, undefined, 100)).toBeUndefined();
    expect(sightAt(grid, [], 100)).toBeUndefined();
  });

  it('has its turns with their instants', () => {
    expect(turnsOf(grid, grid.cells[0]?.[0]).map(({ since, sight: { state } }) => [since, state])).toEqual([
      [100, 'locked'],
      [200, 'open'],
      [300, 'locked'],
    ]);
  });
});

describe('the ticks of the rail', () => {
  it('say how many cells open and shut', () => {
    expect(ticksOf(grid, [0, 1], [0])).toEqual([
      { at: 200, cells: 1, opens: 1, shuts: 0 },
      { at: 300, cells: 1, opens: 0, shuts: 1 },
    ]);
    expect(ticksOf(grid, [1], [0])).toEqual([]);
  });
});

describe('a module', () => {
  const rows = [row('module', 0), row('lesson', 1), row('module', 1), row('lesson', 2), row('lesson', 2, true), row('lesson', 0)];

  it('sums up the lessons inside, drafts left out', () => {
    expect(countInside(rows, 0, (at) => (at === 3 ? sight('open') : sight('locked')))).toEqual({ open: 1, all: 2, shut: null });
    expect(countInside(rows, 1, () => sight('open'))).toBeNull();
  });

  it('counts what may be known of alone', () => {
    expect(countInside(rows, 0, (at) => (at === 3 ? sight('open') : sight('hidden')))).toEqual({ open: 1, all: 1, shut: null });
    expect(countInside(rows, 0, () => sight('hidden'))).toBeNull();
  });

  it.each([
    ['one word', [{ word: 'other tier' }, { word: 'other tier' }], { glyph: 'locked', word: 'other tier', first: false }],
    ['the first of several dates', [{ glyph: 'later', next: 300, word: '9 Apr' }, { glyph: 'later', next: 200, word: '2 Apr' }], { glyph: 'later', word: '2 Apr', first: true }],
    ['several reasons', [{ word: 'other tier' }, { word: 'finish first', why: ['progress'] }], null],
    ['no word for it', [{}, {}], null],
    ['one is open', [{ word: 'other tier' }, { state: 'open' as const, word: 'to 9 Apr' }], null],
  ])('says why nothing inside is open: %s', (_, [one, other], shut) => {
    expect(countInside(rows, 0, (at) => ({ ...sight('locked'), ...(at === 1 ? one : other) }))?.shut).toEqual(shut);
  });
});

describe('two sights', () => {
  it('are told apart by what a cell shows of them', () => {
    expect(differ(sight('locked'), sight('locked', 'again'))).toBe(true);
    expect(differ(sight('open'), { ...sight('open'), via: 'sample' })).toBe(false);
    expect(differ(undefined, sight('open'))).toBe(true);
  });
});

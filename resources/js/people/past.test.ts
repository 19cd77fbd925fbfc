import { describe, expect, it } from 'vitest';

import type { PastTurn } from '../lib/generated/types';
import { rowsAt, ticksOfTurns, turnAt, turnsOfRow } from './past';

const turn = (at: number, changes: [number, 'open' | 'locked'][], about: number[] = []): PastTurn => ({
  at,
  when: String(at),
  lines: [],
  opened: changes.filter(([, glyph]) => glyph === 'open').map(([row]) => row),
  shut: changes.filter(([, glyph]) => glyph === 'locked').map(([row]) => row),
  changes: changes.map(([row, glyph]) => ({ row, glyph, look: false, reason: 0 })),
  about,
});
const TURNS = [turn(10, [[0, 'open'], [1, 'locked']]), turn(20, [[1, 'open']]), turn(30, [[0, 'locked']])];

describe('what rows were like', () => {
  it('is nothing before the first day', () => {
    expect(rowsAt(TURNS, 9).size).toBe(0);
    expect(turnAt(TURNS, 9)).toBe(-1);
  });
  it('holds from the very instant of a turn until the next', () => {
    expect(rowsAt(TURNS, 10).get(1)).toMatchObject({ glyph: 'locked', since: 10 });
    expect(rowsAt(TURNS, 19).get(1)).toMatchObject({ glyph: 'locked', since: 10 });
    expect(rowsAt(TURNS, 20).get(1)).toMatchObject({ glyph: 'open', since: 20 });
    expect(rowsAt(TURNS, 99).get(0)).toMatchObject({ glyph: 'locked', since: 30 });
    expect(turnAt(TURNS, 29)).toBe(1);
  });
  it('is told of a row also where somebody looked at it, or finished it', () => {
    expect(turnsOfRow([...TURNS, turn(40, [], [1])], 1).map(({ at }) => at)).toEqual([10, 20, 40]);
    expect(turnsOfRow([...TURNS, turn(40, [], [1])], 0).map(({ at }) => at)).toEqual([10, 30]);
  });
  it('is told row by row', () => {
    expect(turnsOfRow(TURNS, 0).map(({ at }) => at)).toEqual([10, 30]);
    expect(ticksOfTurns(TURNS)).toEqual([
      { at: 10, cells: 2, opens: 1, shuts: 1 },
      { at: 20, cells: 1, opens: 1, shuts: 0 },
      { at: 30, cells: 1, opens: 0, shuts: 1 },
    ]);
  });
});

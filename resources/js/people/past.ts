import type { PastChange, PastTurn } from '../lib/generated/types';
import type { Tick } from '../lib/sights';

/** What a row was like, and since when. */
export interface RowThen extends PastChange {
  since: number;
}

/** What each row was like at an instant, by its place; rows that were not there yet are left out. */
export function rowsAt(turns: PastTurn[], at: number): Map<number, RowThen> {
  const rows = new Map<number, RowThen>();
  for (const turn of turns) {
    if (turn.at > at) {
      break;
    }
    for (const change of turn.changes) {
      rows.set(change.row, { ...change, since: turn.at });
    }
  }
  return rows;
}

/** A mark on the rail for each instant at which anything happened. */
export function ticksOfTurns(turns: PastTurn[]): Tick[] {
  return turns.map(({ at, changes, opened, shut }) => ({ at, cells: changes.length, opens: opened.length, shuts: shut.length }));
}

/** The turns that have to do with one row: those that opened or shut it, or told it otherwise, and what was done there. */
export function turnsOfRow(turns: PastTurn[], row: number): PastTurn[] {
  return turns.filter(({ changes, about }) => about.includes(row) || changes.some((change) => change.row === row));
}

/** The turn in which an instant lies: the last one at or before it. */
export function turnAt(turns: PastTurn[], at: number): number {
  return turns.findLastIndex((turn) => turn.at <= at);
}

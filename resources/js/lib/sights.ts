import type { OutlineRow, Sight, SightlinesGrid } from './generated/types';

type Cell = readonly number[];

/** What a cell shows at an instant; undefined where nothing is told of it. */
export function sightAt(grid: SightlinesGrid, cell: Cell | undefined, at: number): Sight | undefined {
  if (cell === undefined || cell.length === 0) {
    return undefined;
  }
  // Turns stand in pairs, the earliest first.
  let low = 0;
  let high = cell.length / 2 - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((grid.instants[cell[middle * 2 + 1] ?? -1] ?? Infinity) <= at) {
      low = middle;
    } else {
      high = middle - 1;
    }
  }
  return grid.sights[cell[low * 2] ?? -1];
}

/** The sights of a cell with the instants from which they are seen. */
export function turnsOf(grid: SightlinesGrid, cell: Cell | undefined): { sight: Sight; since: number }[] {
  const turns = [];
  const numbers = cell ?? [];
  for (let at = 0; at < numbers.length; at += 2) {
    const sight = grid.sights[numbers[at] ?? -1];
    const since = grid.instants[numbers[at + 1] ?? -1];
    if (sight !== undefined && since !== undefined) {
      turns.push({ sight, since });
    }
  }
  return turns;
}

/** Whether two sights are told apart in a cell. */
export function differ(one: Sight | undefined, other: Sight | undefined): boolean {
  return one?.glyph !== other?.glyph || one?.look !== other?.look || one?.word !== other?.word;
}

/** What a module sums up of the lessons inside of which a viewer may know. */
export interface Inside {
  open: number;
  all: number;
  /** Why none is open, where it is for one reason: in a word, of the first that is to open where they have several. */
  shut: { glyph: string; word: string; first: boolean } | null;
}

/** Modules sum up the lessons inside, drafts and what is hidden left out. Null for other rows, and where there is nothing to be summed up. */
export function countInside(rows: OutlineRow[], index: number, sight: (row: number) => Sight | undefined): Inside | null {
  const module = rows[index];
  if (module?.kind !== 'module') {
    return null;
  }
  const inside: Sight[] = [];
  for (let at = index + 1; at < rows.length; at++) {
    const row = rows[at];
    if (row === undefined || row.depth <= module.depth) {
      break;
    }
    const seen = row.kind === 'lesson' && !row.draft ? sight(at) : undefined;
    if (seen !== undefined && seen.state !== 'hidden') {
      inside.push(seen);
    }
  }
  return inside.length === 0 ? null : { open: inside.filter(({ state }) => state === 'open').length, all: inside.length, shut: oneReason(inside) };
}

function reason({ why, glyph }: Sight): string {
  return `${glyph} ${why.join()}`;
}

function oneReason(inside: Sight[]): Inside['shut'] {
  const first = inside.toSorted((one, other) => (one.next ?? Infinity) - (other.next ?? Infinity))[0];
  if (first === undefined || first.word === null || inside.some((one) => one.state === 'open' || reason(one) !== reason(first))) {
    return null;
  }
  return { glyph: first.glyph, word: first.word, first: inside.some(({ word }) => word !== first.word) };
}

/** An instant at which cells change, and how many of them open or shut. */
export interface Tick {
  at: number;
  cells: number;
  opens: number;
  shuts: number;
}

/** The instants at which any of the cells shown changes, ascending. */
export function ticksOf(grid: SightlinesGrid, rows: number[], columns: number[]): Tick[] {
  const ticks = new Map<number, Tick>();
  for (const row of rows) {
    for (const column of columns) {
      const turns = turnsOf(grid, grid.cells[row]?.[column]);
      for (let turn = 1; turn < turns.length; turn++) {
        const [before, now] = [turns[turn - 1], turns[turn]];
        if (before === undefined || now === undefined || !differ(before.sight, now.sight)) {
          continue;
        }
        const tick = ticks.get(now.since) ?? { at: now.since, cells: 0, opens: 0, shuts: 0 };
        tick.cells++;
        tick.opens += now.sight.state === 'open' && before.sight.state !== 'open' ? 1 : 0;
        tick.shuts += now.sight.state !== 'open' && before.sight.state === 'open' ? 1 : 0;
        ticks.set(now.since, tick);
      }
    }
  }
  return [...ticks.values()].toSorted((one, other) => one.at - other.at);
}

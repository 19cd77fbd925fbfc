import { useMemo } from 'react';

import type { Expected, OutlineRow, Sight, SightlinesGrid } from '../../lib/generated/types';
import { countInside, differ, type Inside, sightAt } from '../../lib/sights';

/** What the cells of the grid show at an instant, by row and by column among all vantages. The same as long as that is. */
export interface SightCells {
  sight: (row: number, column: number | undefined) => Sight | undefined;
  /** As it is published, beside the draft; undefined: it is not compared, null: the row is not there. */
  published: (row: number, column: number | undefined) => Sight | null | undefined;
  count: (row: number, column: number | undefined) => Inside | null;
  expected: (row: number, column: number | undefined) => Expected[];
  isChanged: (row: number, columns: number[]) => boolean;
}

export function useSightCells(grid: SightlinesGrid, at: number, all: OutlineRow[], expected: Expected[], isNow: boolean): SightCells {
  return useMemo(() => {
    const sight = (row: number, column: number | undefined) => sightAt(grid, grid.cells[row]?.[column ?? -1], at);
    const published = (row: number, column: number | undefined) => {
      const cell = grid.before?.[row]?.[column ?? -1];
      return cell === undefined ? undefined : (sightAt(grid, cell, at) ?? null);
    };
    return {
      sight,
      published,
      count: (row, column) => countInside(all, row, (inside) => sight(inside, column)),
      // They are asked of now: at another instant they say nothing of what is seen.
      expected: (row, column) => (isNow && expected.length > 0 ? expected.filter(({ item, vantage }) => item === all[row]?.key && vantage === grid.vantages[column ?? -1]?.id) : []),
      isChanged: (row, columns) =>
        columns.some((column) => {
          const before = published(row, column);
          return before !== undefined && differ(before ?? undefined, sight(row, column));
        }),
    };
  }, [grid, at, all, expected, isNow]);
}

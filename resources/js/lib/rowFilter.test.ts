import { describe, expect, it } from 'vitest';

import type { OutlineRow } from './generated/types';
import { rowMatches } from './rowFilter';

const ROWS: OutlineRow[] = [
  { key: 'm', title: 'Tools and timber', kind: 'module', depth: 0, draft: false, told: 'opens 7 days after joining, 09:00' },
  { key: 'a', title: 'Choosing larch', kind: 'lesson', depth: 1, draft: false, told: 'for journeyman · sample' },
  { key: 'b', title: 'Launch day', kind: 'lesson', depth: 1, draft: false, told: 'opens Tue 22 Dec, 10:00 · closes Sat 2 Jan 2027, 00:00 · hidden' },
  { key: 'c', title: 'Sample cuts', kind: 'part', depth: 2, draft: true },
];

describe('the rows that are looked for', () => {
  it.each<[string, string]>([
    ['', 'mabc'],
    ['larch', 'a'],
    ['sample', 'ac'],
    ['samples', 'ac'],
    ['lessons', 'ab'],
    ['module', 'm'],
    ['for journeymen', 'a'],
    ['opens in December', 'b'],
    ['opens dec', 'b'],
    ['opens', 'mb'],
    ['after joining', 'm'],
    ['hidden lessons', 'b'],
    ['drafts', 'c'],
    ['closes 2027', 'b'],
    ['opens in march', ''],
    ['masters', ''],
  ])('%s: %s', (typed, keys) => expect(ROWS.filter((row) => rowMatches(row, typed)).map(({ key }) => key).join('')).toBe(keys));
});

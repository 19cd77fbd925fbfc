import type { OutlineRow } from './generated/types';

/** Words that say nothing of what is looked for. */
const EMPTY = new Set(['a', 'an', 'the', 'in', 'on', 'of', 'that', 'which', 'is', 'are', 'with', 'all']);

/**
 * Whether a row is what somebody looks for: by its title, or by its kind and what is set for it, word by word (`lessons for
 * journeymen`, `opens in December`).
 */
export function rowMatches(row: OutlineRow, typed: string): boolean {
  const wanted = typed.trim().toLowerCase();
  if (row.title.toLowerCase().includes(wanted)) {
    return true;
  }
  const words = wanted.split(/[\s,·]+/).filter((word) => word !== '' && !EMPTY.has(word)).map(plain);
  const told = [row.kind, ...(row.draft ? ['draft'] : []), ...row.title.split(/\s+/), ...(row.told?.split(/[\s,·]+/) ?? [])].map((word) => plain(word.toLowerCase()));
  return words.length > 0 && words.every((word) => told.some((one) => one.startsWith(word) || (word.length > 3 && MONTHS.has(one) && word.startsWith(one))));
}

/** As rules tell dates. */
const MONTHS = new Set(['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']);

/** One of them, where several are meant. */
function plain(word: string): string {
  return word.replace(/men$/, 'man').replace(/(?<=[a-z]{3})s$/, '');
}

import type { AfterRule, OutlineRow } from '../../lib/generated/types';

/** Rows whose title begins so, has a word that does, or has it in it: in this order. */
export function rowsLike(typed: string, rows: OutlineRow[]): OutlineRow[] {
  const wanted = typed.trim().toLowerCase();
  const rank = ({ title }: OutlineRow) => {
    const at = title.toLowerCase().indexOf(wanted);
    return at === -1 ? 4 : title.toLowerCase() === wanted ? 0 : at === 0 ? 1 : /\s/.test(title[at - 1] ?? '') ? 2 : 3;
  };
  return wanted === '' ? [] : rows.filter((row) => rank(row) < 4).toSorted((a, b) => rank(a) - rank(b));
}

/** What several titles are joined by, and what it makes of them. */
const JOINTS: [RegExp, 'all' | 'any' | null][] = [
  [/^\s*[,;+&]\s*/, null],
  [/^\s+and\s+/i, 'all'],
  [/^\s+or\s+/i, 'any'],
];

/** `Tools and timber and The garboard`, `a, b or c`, `any 2 of a, b and c`; null where a part of it is no title. Titles may hold the words that join them. */
export function typedTitles(typed: string, rows: OutlineRow[]): Pick<AfterRule, 'mode' | 'of' | 'count'> | null {
  const counted = /^\s*any\s+(\d+)\s+of\s+/i.exec(typed);
  const listed = list(typed.slice(counted?.[0].length ?? 0).trim(), rows);
  if (listed === null) {
    return null;
  }
  const of = [...new Set(listed.of)];
  const count = Number(counted?.[1] ?? 0);
  if (counted === null) {
    return { mode: listed.any && of.length > 1 ? 'any' : 'all', of, count: null };
  }
  return count < 1 || count > of.length ? null : { mode: 'at_least', of, count };
}

function list(text: string, rows: OutlineRow[]): { of: string[]; any: boolean } | null {
  // Whole titles first, the longest before the others; then the beginnings of some, up to the first joint.
  const whole = rows.filter(({ title }) => text.toLowerCase().startsWith(title.toLowerCase())).toSorted((a, b) => b.title.length - a.title.length);
  for (const { key, title } of whole) {
    const found = rest(key, text.slice(title.length), rows);
    if (found !== null) {
      return found;
    }
  }
  const piece = /^(.+?)(?=\s*[,;+&]|\s+(?:and|or)\s+|$)/i.exec(text)?.[1];
  const like = piece === undefined ? undefined : rowsLike(piece, rows)[0];
  return piece === undefined || like === undefined ? null : rest(like.key, text.slice(piece.length), rows);
}

function rest(key: string, left: string, rows: OutlineRow[]): { of: string[]; any: boolean } | null {
  if (left.trim() === '') {
    return { of: [key], any: false };
  }
  for (const [joint, mode] of JOINTS) {
    const found = joint.exec(left);
    const others = found === null ? null : list(left.slice(found[0].length), rows);
    if (others !== null) {
      return { of: [key, ...others.of], any: others.any || mode === 'any' };
    }
  }
  return null;
}

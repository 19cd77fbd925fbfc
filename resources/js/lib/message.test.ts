import { IntlMessageFormat } from 'intl-messageformat';
import { describe, expect, it } from 'vitest';

import { keepWords } from './generated/keepWords';
import { words } from './generated/words';
import { message } from './message';

/** What goes in a pattern, whatever it is for. */
function names(pattern: string): string[] {
  return [...new Set([...pattern.matchAll(/\{\s*(\w+)\s*[,}]/g)].map(([, name]) => name ?? ''))];
}

/** A value for each: of choices one of the branches, of all else a number or a word. */
function values(pattern: string, number: number): Record<string, string | number> {
  return Object.fromEntries(
    names(pattern).map((name) => {
      const kind = new RegExp(`\\{\\s*${name}\\s*,\\s*(\\w+)`).exec(pattern)?.[1];
      const branch = new RegExp(`\\{\\s*${name}\\s*,\\s*select\\s*,\\s*(\\w+)`).exec(pattern)?.[1];
      return [name, kind === 'select' ? (number === 1 ? (branch ?? 'x') : 'none of them') : kind === undefined ? `<b>${name}</b>` : number];
    }),
  );
}

describe('messages', () => {
  it.each(Object.entries({ ...words, ...keepWords }))('say what the standard says: %s', (_key, pattern) => {
    for (const number of [0, 1, 2, 1234]) {
      const given = values(pattern, number);
      expect(message(pattern, 'en').say(given).map(String).join('')).toBe(String(new IntlMessageFormat(pattern, 'en', undefined, { ignoreTag: true }).format(given)));
    }
  });

  it.each([
    ["it''s '{'so'}'", {}, "it's {so}"],
    ['{n, plural, =0 {none} one {# thing} other {# things}}', { n: 0 }, 'none'],
    ['{n, plural, one {# {what}} other {# {what}s}}', { n: 2000, what: 'plank' }, '2,000 planks'],
    ['{a, select, x {{n, plural, one {one} other {#}}} other {}}', { a: 'x', n: 3 }, '3'],
    ['# {n}', { n: 5 }, '# 5'],
  ])('%s', (pattern, given, said) => {
    expect(message(pattern, 'en').say(given).join('')).toBe(said);
  });

  it.each(['{', '{a', '}', '{a, date}', '{n, plural, one {x}}', '{n, plural, other {x}'])('refuse %s', (pattern) => {
    expect(() => message(pattern, 'en')).toThrow('no message');
  });
});

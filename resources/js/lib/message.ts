/*
 * ICU messages as far as our words use them: placeholders, numbers, plurals and choices. Half the size of the learner's side would
 * be the package that knows all the rest of the standard; a test holds the two against each other on every word there is.
 */

type Piece = string | { arg: string; kind: 'plain' | 'number' } | { arg: string; kind: 'plural' | 'select'; cases: Map<string, Piece[]> } | { count: true };

/** What goes in a message, by its name. */
export type Given = Readonly<Record<string, unknown>>;

export interface Message {
  /** In pieces: what was given stays what it is, all else is text. */
  say: (given: Given) => unknown[];
}

/** @throws Error if the pattern is no message, or uses what is not known here */
export function message(pattern: string, language: string): Message {
  const numbers = new Intl.NumberFormat(language);
  const plurals = new Intl.PluralRules(language);
  let at = 0;

  const fail = (): never => {
    throw new Error(`This is no message, at ${at}: ${pattern}`);
  };
  const match = (what: RegExp): string => {
    what.lastIndex = at;
    const found = what.exec(pattern);
    if (found === null) {
      return fail();
    }
    at = what.lastIndex;
    return found[1] ?? found[0];
  };

  /** Up to the brace that ends it, or the end. */
  const pieces = (counts: boolean): Piece[] => {
    const read: Piece[] = [];
    let text = '';
    const put = (piece: Piece) => {
      if (text !== '') {
        read.push(text);
        text = '';
      }
      read.push(piece);
    };
    while (at < pattern.length && pattern[at] !== '}') {
      const next = pattern[at];
      if (next === "'" && pattern[at + 1] === "'") {
        text += "'";
        at += 2;
      } else if (next === "'" && /[{}#]/.test(pattern[at + 1] ?? '')) {
        text += match(/'([^']*)'?/y);
      } else if (next === '{') {
        at += 1;
        put(argument());
      } else if (next === '#' && counts) {
        at += 1;
        put({ count: true });
      } else {
        text += next;
        at += 1;
      }
    }
    if (text !== '') {
      read.push(text);
    }
    return read;
  };

  const argument = (): Piece => {
    const arg = match(/\s*(\w+)\s*/y);
    if (pattern[at] === '}') {
      at += 1;
      return { arg, kind: 'plain' };
    }
    const kind = match(/,\s*(number|plural|select)\s*/y);
    if (kind === 'number') {
      match(/(?:,\s*integer\s*)?\}/y);
      return { arg, kind };
    }
    match(/,\s*/y);
    const cases = new Map<string, Piece[]>();
    while (pattern[at] !== '}') {
      const name = match(/(=\d+|\w+)\s*\{/y);
      cases.set(name, pieces(kind === 'plural'));
      match(/\}\s*/y);
    }
    at += 1;
    return cases.has('other') ? { arg, kind: kind === 'plural' ? 'plural' : 'select', cases } : fail();
  };

  const told = (parts: Piece[], given: Given, count: number): unknown[] =>
    parts.flatMap((piece): unknown[] => {
      if (typeof piece === 'string') {
        return [piece];
      }
      if ('count' in piece) {
        return [numbers.format(count)];
      }
      const value = given[piece.arg];
      switch (piece.kind) {
        case 'plain':
          return [typeof value === 'number' ? String(value) : value];
        case 'number':
          return [numbers.format(Number(value))];
        case 'plural':
          return told(piece.cases.get(`=${String(value)}`) ?? piece.cases.get(plurals.select(Number(value))) ?? piece.cases.get('other') ?? [], given, Number(value));
        case 'select':
          return told(piece.cases.get(String(value)) ?? piece.cases.get('other') ?? [], given, count);
      }
    });

  const parts = pieces(false);
  if (at < pattern.length) {
    fail();
  }
  return { say: (given) => told(parts, given, 0) };
}

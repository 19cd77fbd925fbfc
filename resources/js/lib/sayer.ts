import { IntlMessageFormat } from 'intl-messageformat';
import { Children, type ReactNode } from 'react';

const LANGUAGE = 'en';

/** Says words by their keys. `Parts` names what must go in each; nothing goes in those where it is `never`. */
export interface Sayer<Parts extends object> {
  /** Words by their key, with what goes in them. */
  say: <K extends keyof Parts>(key: K, ...parts: [Parts[K]] extends [never] ? [] : [Record<Parts[K] & string, string | number>]) => string;
  /** The same, where links, times or names set apart go in. */
  saying: <K extends keyof Parts>(key: K, parts: Record<Parts[K] & string, ReactNode>) => ReactNode;
}

/** @param words ICU messages by key, as lang/ has them */
export function sayer<Parts extends object>(words: Readonly<Record<keyof Parts, string>>): Sayer<Parts> {
  const patterns = new Map<keyof Parts, IntlMessageFormat>();
  const pattern = (key: keyof Parts): IntlMessageFormat => {
    let known = patterns.get(key);
    if (known === undefined) {
      // What stands for a link is put in by `saying`; markup in words stays what it is.
      known = new IntlMessageFormat(words[key], LANGUAGE, undefined, { ignoreTag: true });
      patterns.set(key, known);
    }
    return known;
  };
  return {
    say: (key, ...[parts]) => String(pattern(key).format(parts)),
    saying: (key, parts) => {
      const said = pattern(key).format<ReactNode>(parts);
      return Array.isArray(said) ? Children.toArray(said) : (said as ReactNode);
    },
  };
}

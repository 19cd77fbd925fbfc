import { IntlMessageFormat } from 'intl-messageformat';
import { Children, type ReactNode } from 'react';

import { type Parts, words } from './generated/words';

/** What there are words for, as lang/en/learn.php has them. */
export type Key = keyof typeof words;

const LANGUAGE = 'en';

const patterns = new Map<Key, IntlMessageFormat>();

function pattern(key: Key): IntlMessageFormat {
  let known = patterns.get(key);
  if (known === undefined) {
    // What stands for a link is put in by `saying`; markup in words stays what it is.
    known = new IntlMessageFormat(words[key], LANGUAGE, undefined, { ignoreTag: true });
    patterns.set(key, known);
  }
  return known;
}

/** Words by their key, with what goes in them. */
export function say<K extends Key>(key: K, ...[parts]: [Parts[K]] extends [never] ? [] : [Record<Parts[K], string | number>]): string {
  return String(pattern(key).format(parts));
}

/** The same, where links, times or names set apart go in. */
export function saying<K extends Key>(key: K, parts: Record<Parts[K], ReactNode>): ReactNode {
  const said = pattern(key).format<ReactNode>(parts);
  return Array.isArray(said) ? Children.toArray(said) : (said as ReactNode);
}

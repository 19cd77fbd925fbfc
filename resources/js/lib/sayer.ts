import { Children, type ReactNode } from 'react';

import { type Given, message, type Message } from './message';

/** Says words by their keys. `Parts` names what must go in each; nothing goes in those where it is `never`. */
export interface Sayer<Parts extends object> {
  /** Words by their key, with what goes in them. */
  say: <K extends keyof Parts>(key: K, ...parts: [Parts[K]] extends [never] ? [] : [Record<Parts[K] & string, string | number>]) => string;
  /** The same, where links, times or names set apart go in. */
  saying: <K extends keyof Parts>(key: K, parts: Record<Parts[K] & string, ReactNode>) => ReactNode;
  /** From now on in another language: before anything is said. */
  speak: (words: Readonly<Record<keyof Parts, string>>, language: string) => void;
}

/** @param first English ICU messages by key, as lang/ has them */
export function sayer<Parts extends object>(first: Readonly<Record<keyof Parts, string>>): Sayer<Parts> {
  let [words, language] = [first, 'en'];
  const patterns = new Map<keyof Parts, Message>();
  const told = (key: keyof Parts, parts: Given = {}): unknown[] => {
    let known = patterns.get(key);
    if (known === undefined) {
      known = message(words[key], language);
      patterns.set(key, known);
    }
    return known.say(parts);
  };
  return {
    speak: (others, spoken) => {
      [words, language] = [others, spoken];
      patterns.clear();
    },
    say: (key, ...[parts]) => told(key, parts).map(String).join(''),
    saying: (key, parts) => Children.toArray(told(key, parts) as ReactNode[]),
  };
}

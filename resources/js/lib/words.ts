import type { Sentence } from './generated/types';

// The language of the words, without a comma before the last: "a, b or c".
const LISTS = {
  and: new Intl.ListFormat('en-GB', { type: 'conjunction' }),
  or: new Intl.ListFormat('en-GB', { type: 'disjunction' }),
};

/** `a, b or c`. */
export function listed(names: string[], by: keyof typeof LISTS): string {
  return LISTS[by].format(names);
}

export function plainText(sentence: Sentence): string {
  return sentence.segments.map((segment) => segment.text).join('');
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

import type { Sentence } from './generated/types';

/** `1 change`, `4 changes`. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
}

export function plainText(sentence: Sentence): string {
  return sentence.segments.map((segment) => segment.text).join('');
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

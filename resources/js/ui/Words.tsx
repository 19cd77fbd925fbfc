import type { SentencePart } from '../lib/generated/types';

export interface WordsProps {
  segments: SentencePart[];
  /** How titles stand out: set apart in a sentence, or strong in a heading line. */
  titles?: 'em' | 'b';
}

/** A sentence of the server, with its titles set apart. */
export function Words({ segments, titles = 'em' }: WordsProps) {
  const Title = titles;
  return segments.map((segment, index) => {
    // The segments of a sentence have no identity beyond their place in it.
    const key = `${index}-${segment.text}`;
    return segment.title ? <Title key={key}>{segment.text}</Title> : <span key={key}>{segment.text}</span>;
  });
}

import type { SentencePart } from '../lib/generated/types';
import ui from './ui.module.css';

export interface WordsProps {
  segments: SentencePart[];
  /** How titles stand out: set apart in a sentence, or strong in a heading line. */
  titles?: 'em' | 'b';
  /** What is done with a title that stands for something that can be set. */
  onChoose?: (of: string) => void;
}

/** A sentence of the server, with its titles set apart. */
export function Words({ segments, titles = 'em', onChoose }: WordsProps) {
  const Title = titles;
  return segments.map((segment, index) => {
    // The segments of a sentence have no identity beyond their place in it.
    const key = `${index}-${segment.text}`;
    const { of } = segment;
    if (of !== undefined && onChoose !== undefined) {
      return (
        <button key={key} type="button" className={ui.word} onClick={() => onChoose(of)}>
          {segment.text}
        </button>
      );
    }
    return segment.title ? <Title key={key}>{segment.text}</Title> : <span key={key}>{segment.text}</span>;
  });
}

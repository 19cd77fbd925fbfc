const GRAPHEMES = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/** So many characters of a text at most, as readers count them, the last one an ellipsis where there was more. */
export function shortened(text: string, most: number): string {
  if (text.length <= most) {
    return text;
  }
  const characters: string[] = [];
  for (const { segment } of GRAPHEMES.segment(text)) {
    if (characters.length === most) {
      return `${characters.slice(0, most - 1).join('').trimEnd()}…`;
    }
    characters.push(segment);
  }
  return text;
}

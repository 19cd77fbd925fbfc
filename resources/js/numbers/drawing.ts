/** What is drawn: a row for each place on the axis, with a number for each series. */
export interface Drawing {
  /** `area`: one upon the other, over time; `bars`: side by side. */
  kind: 'area' | 'bars';
  rows: Record<string, string | number>[];
  series: { name: string; label: string; color: string }[];
}

/**
 * Colours for so many that follow each other, from pale to full: further on is darker, in either scheme.
 *
 * @param of how many there are
 */
export function inOrder(of: number): string[] {
  return Array.from({ length: of }, (_, at) => `color-mix(in srgb, var(--verdigris) ${Math.round(25 + (75 * at) / Math.max(1, of - 1))}%, var(--card))`);
}

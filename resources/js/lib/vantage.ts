/** Before a holder in an address: the labels that they have besides. */
export function labelled(labels: string[]): string {
  return labels.length === 0 ? '' : `labelled:${labels.map(encodeURIComponent).join(',')}:`;
}

/** What somebody typed, divided by commas. */
export function labelsOf(typed: string): string[] {
  return [...new Set(typed.split(',').map((label) => label.trim()).filter((label) => label !== ''))];
}

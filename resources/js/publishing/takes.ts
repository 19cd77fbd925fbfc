/** Effects that take something away, or put it off. */
export const TAKES: ReadonlySet<string> = new Set(['lose', 'pause', 'lose_work', 'shorter', 'never', 'later']);

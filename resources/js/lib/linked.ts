/** A text in parts, in which addresses of the web stand for themselves; `at` is where each part begins. */
export function linked(words: string): { at: number; text: string; address: string | null }[] {
  const parts: { at: number; text: string; address: string | null }[] = [];
  let from = 0;
  // What ends a sentence does not belong to the address before it.
  for (const found of words.matchAll(/https?:\/\/[^\s<>"]*[^\s<>".,;:!?)\]]/g)) {
    if (found.index > from) {
      parts.push({ at: from, text: words.slice(from, found.index), address: null });
    }
    parts.push({ at: found.index, text: found[0], address: found[0] });
    from = found.index + found[0].length;
  }
  if (from < words.length) {
    parts.push({ at: from, text: words.slice(from), address: null });
  }
  return parts;
}

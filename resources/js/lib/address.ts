/** The present address with some of its query changed; null takes a part out. */
export function withQuery(address: string, changes: Record<string, string | number | null>): string {
  const [path = '', query = ''] = address.split('?');
  const params = new URLSearchParams(query);
  for (const [key, value] of Object.entries(changes)) {
    if (value === null) {
      params.delete(key);
    } else {
      params.set(key, String(value));
    }
  }
  const text = params.toString();
  return text === '' ? path : `${path}?${text}`;
}

export function learnerAddress(course: string, item?: string): string {
  return item === undefined
    ? `/courses/${encodeURIComponent(course)}`
    : `/courses/${encodeURIComponent(course)}/${encodeURIComponent(item)}`;
}

export function keepAddress(course: string, rest = ''): string {
  return `/keep/courses/${encodeURIComponent(course)}${rest}`;
}

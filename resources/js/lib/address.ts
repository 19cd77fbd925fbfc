import { to } from './route';

export type Query = Record<string, string | number | string[] | null>;

/** The present address with some of its query changed; null takes a part out, a list becomes `key[]`. */
export function withQuery(address: string, changes: Query): string {
  const [path = '', query = ''] = address.split('?');
  const params = new URLSearchParams(query);
  for (const [key, value] of Object.entries(changes)) {
    if (value === null || Array.isArray(value)) {
      params.delete(key);
      for (const name of Array.from(params.keys()).filter((one) => one.startsWith(`${key}[`))) {
        params.delete(name);
      }
      for (const one of value ?? []) {
        params.append(`${key}[]`, one);
      }
    } else {
      params.set(key, String(value));
    }
  }
  const text = params.toString();
  return text === '' ? path : `${path}?${text}`;
}

export function learnerAddress(course: string, item?: string): string {
  return item === undefined ? to('course', { course }) : to('lesson', { course, item });
}

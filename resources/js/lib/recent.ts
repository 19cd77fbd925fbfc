import type { FoundThing } from './generated/types';

const PLACE = 'silent-keep.recent';

const MOST = 8;

function isThing(one: unknown): one is FoundThing {
  return typeof one === 'object' && one !== null && 'id' in one && 'title' in one && 'href' in one && typeof one.href === 'string' && one.href.startsWith('/');
}

/** What was found and gone to in this browser, the last first. */
export function recent(): FoundThing[] {
  try {
    const kept: unknown = JSON.parse(window.localStorage.getItem(PLACE) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isThing) : [];
  } catch {
    // Another program's, or a browser that keeps nothing.
    return [];
  }
}

export function remember(thing: FoundThing): void {
  try {
    window.localStorage.setItem(PLACE, JSON.stringify([thing, ...recent().filter(({ id }) => id !== thing.id)].slice(0, MOST)));
  } catch {
    // It is found again by typing.
  }
}

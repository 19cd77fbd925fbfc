import { afterEach, beforeEach, expect, test, vi } from 'vitest';

import { atRest, keepFocus, watchPresses } from './rest';

let root: HTMLElement;

beforeEach(() => {
  vi.useFakeTimers();
  root = document.createElement('div');
  root.innerHTML = '<p>Read me</p><a href="/there"><b>There</b></a><a href="/elsewhere">Elsewhere</a>';
  document.body.replaceChildren(root);
});

afterEach(() => vi.useRealTimers());

const on = (selector: string, event: Event) => root.querySelector(selector)?.dispatchEvent(event);
const over = () => new MouseEvent('pointerover', { bubbles: true });

test('a page that is only read stays at rest', () => {
  const begin = vi.fn<() => void>();
  atRest(root, begin);
  on('p', over());
  vi.advanceTimersByTime(86_400_000);
  expect(begin).not.toHaveBeenCalled();
});

test.each([
  ['the pointer over a link, or what is in it', 'b', over],
  ['a finger anywhere', 'p', () => new Event('touchstart', { bubbles: true })],
  ['the focus', 'a', () => new FocusEvent('focusin', { bubbles: true })],
  ['a key', 'a', () => new KeyboardEvent('keydown', { bubbles: true, key: 'Tab' })],
])('%s wakes it, once', (_what, selector, event) => {
  root.dataset.wakes = '';
  const begin = vi.fn<() => void>();
  atRest(root, begin);
  on(selector, event());
  on(selector, event());
  on('b', over());
  expect(begin).toHaveBeenCalledTimes(1);
});

test('a page on which all goes without scripts stays at rest, whatever is turned to', () => {
  const begin = vi.fn<() => void>();
  atRest(root, begin);
  on('b', over());
  on('p', new Event('touchstart', { bubbles: true }));
  on('a', new FocusEvent('focusin', { bubbles: true }));
  on('a', new KeyboardEvent('keydown', { bubbles: true, key: 'Tab' }));
  expect(begin).not.toHaveBeenCalled();
});

test.each([
  ['3', 3000, 1],
  ['3', 2999, 0],
  ['', 90_000_000, 0],
  ['0', 90_000_000, 0],
  // Beyond what a browser can wait, which would be at once.
  ['3000000', 90_000_000, 0],
])('a page that turns in %s s has begun after %i ms %i times', (turns, after, times) => {
  root.dataset.turns = turns;
  const begin = vi.fn<() => void>();
  atRest(root, begin);
  vi.advanceTimersByTime(after);
  expect(begin).toHaveBeenCalledTimes(times);
});

test('whoever has the time of the school is told nothing of it', () => {
  const own = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  root.innerHTML = `<p data-zone="${own}" hidden></p><p data-zone="Pacific/Kiritimati" hidden></p>`;
  atRest(root, () => undefined);
  expect([...root.querySelectorAll('p')].map((note) => note.hidden)).toEqual([true, own === 'Pacific/Kiritimati']);
});

const putAnew = () => {
  root.innerHTML = '<p>Read me</p><a href="/elsewhere">Elsewhere</a><a href="/there">There</a>';
};

test('the focus stays on the link on which it was', () => {
  root.querySelector<HTMLElement>('a[href="/there"]')?.focus();
  keepFocus(root, putAnew);
  vi.advanceTimersByTime(400);
  expect(document.activeElement?.getAttribute('href')).toBe('/there');
});

test('what was not focused is not', () => {
  keepFocus(root, putAnew);
  vi.advanceTimersByTime(400);
  expect(document.activeElement).toBe(document.body);
});

test('nothing is put in the place of what is pressed, so that the click arrives', () => {
  watchPresses();
  const put = vi.fn<() => void>();
  on('a', new MouseEvent('pointerdown', { bubbles: true }));
  keepFocus(root, put);
  expect(put).not.toHaveBeenCalled();
  on('a', new MouseEvent('pointerup', { bubbles: true }));
  expect(put).not.toHaveBeenCalled();
  vi.advanceTimersByTime(1);
  expect(put).toHaveBeenCalledTimes(1);
});

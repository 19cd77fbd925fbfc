import { expect, test } from 'vitest';

import { linked } from './linked';

test.each([
  ['', []],
  ['Come back.', [['Come back.', null]]],
  ['See https://a.example/b?c=d.', [['See ', null], ['https://a.example/b?c=d', 'https://a.example/b?c=d'], ['.', null]]],
  ['(http://a.example/x) or https://b.example', [['(', null], ['http://a.example/x', 'http://a.example/x'], [') or ', null], ['https://b.example', 'https://b.example']]],
  ['javascript:alert(1)', [['javascript:alert(1)', null]]],
])('addresses in %j stand for themselves', (words, parts) => {
  expect(linked(words).map(({ text, address }) => [text, address])).toEqual(parts);
  expect(linked(words).map(({ text }) => text).join('')).toBe(words);
});

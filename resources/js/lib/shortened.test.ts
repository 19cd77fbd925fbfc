import { expect, test } from 'vitest';

import { shortened } from './shortened';

test.each([
  ['short', 10, 'short'],
  ['just as much', 12, 'just as much'],
  ['one more than it', 15, 'one more than…'],
  ['', 3, ''],
  // A character of several code points is one, and is not cut in two.
  ['👩‍👧‍👦👩‍👧‍👦👩‍👧‍👦', 3, '👩‍👧‍👦👩‍👧‍👦👩‍👧‍👦'],
  ['👩‍👧‍👦👩‍👧‍👦👩‍👧‍👦', 2, '👩‍👧‍👦…'],
])('%s in %i characters', (text, most, short) => {
  expect(shortened(text, most)).toBe(short);
});

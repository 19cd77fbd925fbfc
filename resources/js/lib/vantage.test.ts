import { describe, expect, it } from 'vitest';

import { labelled, labelsOf } from './vantage';

describe('labels of a vantage', () => {
  it('stand before the holder as an address encodes them', () => {
    expect(labelled([])).toBe('');
    expect(labelled(['oar-bonus'])).toBe('labelled:oar-bonus:');
    expect(labelled(['a b', 'c:d'])).toBe('labelled:a%20b,c%3Ad:');
  });

  it('are typed with commas between them, each once', () => {
    expect(labelsOf(' oar-bonus, keen,, keen ')).toEqual(['oar-bonus', 'keen']);
    expect(labelsOf('')).toEqual([]);
  });
});

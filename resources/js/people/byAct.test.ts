import { describe, expect, it } from 'vitest';

import type { FixByAct } from '../lib/generated/types';
import { doneTo } from './byAct';

const act: FixByAct = { do: 'finish', button: 'Mark it', course: 'clinker', item: 'l-planes', offer: null, label: null, items: [], toLearner: false };

describe('to whom something is done', () => {
  it.each([
    ['person:12', act, null, 12],
    ['person:12', act, 30, 12],
    ['observer:person:12', act, 30, 30],
    ['observer:person:12', act, null, null],
    ['observer:person:12', { ...act, toLearner: true }, 30, 12],
    ['observer:holder:3:pass', { ...act, toLearner: true }, 30, null],
    ['holder:3:pass', act, null, null],
    ['guest', act, null, null],
  ])('%s', (vantage, what, viewer, whom) => {
    expect(doneTo(what, vantage, viewer)).toBe(whom);
  });
});

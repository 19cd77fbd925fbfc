import { describe, expect, it } from 'vitest';

import type { OutlineRow } from '../../lib/generated/types';
import { typedCondition } from './typedCondition';

const outline = [
  ['l-steam', 'The steam box', 'lesson'],
  ['l-both', 'Sand and oil', 'lesson'],
  ['b-wood', 'Talk of wood', 'board'],
].map(([key, title, kind]) => ({ key, title, kind, depth: 0, draft: false }) as OutlineRow);

const typed = (text: string) =>
  typedCondition(text, { labels: ['cohort-b', 'oars and oil'], tiers: ['master'], offers: [{ key: 'trial', title: 'Yard trial', plan: null }], outline, now: '2026-03-04T10:30', words: (wall) => wall });

describe('a condition', () => {
  it.each<[string, unknown, string?]>([
    ['label new', { label: 'new' }],
    ['Label oars and oil', { label: 'oars and oil' }, 'label oars and oil'],
    ['not label cohort-b', { not: { label: 'cohort-b' } }],
    ['not not label cohort-b', { not: { not: { label: 'cohort-b' } } }],
    ['label a and label b', { all: [{ label: 'a' }, { label: 'b' }] }],
    ['label a, label b', { all: [{ label: 'a' }, { label: 'b' }] }, 'label a and label b'],
    ['label a, label b or label c', { any: [{ label: 'a' }, { label: 'b' }, { label: 'c' }] }, 'label a or label b or label c'],
    ['label oars and oil and tier master', { all: [{ label: 'oars and oil' }, { tier: 'master' }] }],
    ['(label a or label b) and learners only', { all: [{ any: [{ label: 'a' }, { label: 'b' }] }, { kind: 'learner' }] }],
    ['not (label a or label b)', { not: { any: [{ label: 'a' }, { label: 'b' }] } }],
    ['tier master', { tier: 'master' }],
    ['by offer Yard trial', { offer: 'trial' }],
    ['offer yard', { offer: 'trial' }, 'by offer Yard trial'],
    ['who finished The steam box', { done: 'l-steam' }],
    ['finished steam and finished Sand and oil', { all: [{ done: 'l-steam' }, { done: 'l-both' }] }, 'who finished The steam box and who finished Sand and oil'],
    ['guests only', { kind: 'guest' }],
    ['member or visitor', { any: [{ kind: 'member' }, { kind: 'visitor' }] }, 'members only or visitors only'],
    ['staff only', { kind: 'staff' }],
    ['from 9 Mar 9:00', { from: '2026-03-09T09:00' }, 'from 2026-03-09T09:00'],
    ['until Mon 9 Mar 2026, 09:00 and label a', { all: [{ until: '2026-03-09T09:00' }, { label: 'a' }] }, 'until 2026-03-09T09:00 and label a'],
  ])('%s', (text, condition, words = text) => {
    expect(typed(text)).toEqual({ condition, words });
  });

  it.each(['', 'label', 'label a and', 'label a and label b or label c', '(label a', 'label a)', 'tier smith', 'offer nothing', 'who finished Talk of wood', 'from soon', 'guesthouse', 'and label a'])('is not: %s', (text) => {
    expect(typed(text)).toBeNull();
  });
});

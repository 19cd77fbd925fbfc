import { describe, expect, it } from 'vitest';

import { type Condition, type ConditionPart, isGroup, newAsk, newGroup, pathsOf, readCondition, withPart, writeCondition } from './condition';

/** One of each shape that the plan format has. */
const CONDITIONS: Condition[] = [
  { label: 'oars' },
  { not: { label: 'oars' } },
  { all: [{ tier: 'gold' }, { offer: 'trial' }] },
  { any: [{ kind: 'guest' }, { not: { done: 'l-welcome' } }] },
  { all: [{ from: '2026-03-09T09:00' }, { any: [{ until: '2026-04-09T09:00' }, { label: 'crew' }] }] },
  { not: { all: [{ label: 'a' }, { label: 'b' }] } },
  { any: [] },
];

describe('a condition', () => {
  it.each(CONDITIONS.map((one) => [JSON.stringify(one), one] as const))('is written as it was read: %s', (_text, condition) => {
    expect(writeCondition(readCondition(condition))).toEqual(condition);
  });

  it('is everyone where there is none', () => {
    expect(writeCondition(readCondition(undefined))).toBeNull();
  });

  it('loses a group around one alone, and a not around a not', () => {
    expect(writeCondition(readCondition({ all: [{ label: 'a' }] }))).toEqual({ label: 'a' });
    expect(writeCondition(readCondition({ not: { not: { label: 'a' } } }))).toEqual({ label: 'a' });
  });

  it('is always edited inside a group', () => {
    for (const condition of CONDITIONS) {
      const group = readCondition(condition);
      expect(isGroup(group) && !group.not).toBe(true);
    }
  });
});

describe('where a part stands', () => {
  it('is said as refusals say it', () => {
    const group = readCondition({ all: [{ label: 'a' }, { not: { any: [{ tier: 'x' }, { done: 'l' }] } }] });
    const [, inner] = group.parts;
    const paths = pathsOf(group);
    expect([...paths.values()]).toEqual(['only', 'only.all.0.label', 'only.all.1.not', 'only.all.1.not.any.0.tier', 'only.all.1.not.any.1.done']);
    expect(paths.get(inner?.id ?? 0)).toBe('only.all.1.not');
  });

  it('is the whole of it where it is alone', () => {
    expect([...pathsOf(readCondition({ label: 'a' })).values()]).toEqual(['only.label']);
  });
});

describe('a change of one part', () => {
  const deep = newAsk('label', 'a');
  const group = newGroup('all', [newAsk('tier', 'gold'), newGroup('any', [deep, newAsk('label', 'b')])]);

  it('leaves the others and the group that it was as they are', () => {
    const changed = withPart(group, deep.id, (part) => ({ ...part, not: true }) as ConditionPart);
    expect(writeCondition(changed)).toEqual({ all: [{ tier: 'gold' }, { any: [{ not: { label: 'a' } }, { label: 'b' }] }] });
    expect(writeCondition(group)).toEqual({ all: [{ tier: 'gold' }, { any: [{ label: 'a' }, { label: 'b' }] }] });
  });

  it('takes it out where it is null', () => {
    expect(writeCondition(withPart(group, deep.id, () => null))).toEqual({ all: [{ tier: 'gold' }, { any: [{ label: 'b' }] }] });
  });
});

import { beforeEach, describe, expect, it, vi } from 'vitest';

import type { FoundThing } from './generated/types';
import { recent, remember } from './recent';

const thing = (id: string): FoundThing => ({ kind: 'do', id, title: id, note: '', href: `/keep/${id}`, course: null, item: null, person: null });

describe('what was gone to', () => {
  let kept: Record<string, string> = {};
  beforeEach(() => {
    kept = {};
    vi.stubGlobal('window', { localStorage: { getItem: (key: string) => kept[key] ?? null, setItem: (key: string, value: string) => { kept[key] = value; } } });
  });

  it('is told with the last first, each once and no more than eight', () => {
    for (let n = 0; n < 12; n++) {
      remember(thing(`${n}`));
    }
    remember(thing('9'));
    expect(recent().map(({ id }) => id)).toEqual(['9', '11', '10', '8', '7', '6', '5', '4']);
  });

  it('is nothing where what is kept is not ours', () => {
    kept['silent-keep.recent'] = '{';
    expect(recent()).toEqual([]);
    kept['silent-keep.recent'] = '[1, {"id": "x", "title": "x", "href": "https://elsewhere.test"}]';
    expect(recent()).toEqual([]);
  });
});

import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useState } from 'react';

import { NOTHING_PICKED, type Picked, TITLE, useCellRange } from './useCellRange';

const KEYS = ['a', 'b', 'c', 'd', 'e'];

function hook() {
  return renderHook(() => {
    const [picked, setPicked] = useState<Picked>(NOTHING_PICKED);
    return { selected: picked.rows, columns: picked.columns, ...useCellRange(KEYS, picked, setPicked) };
  });
}

describe('the selection of rows', () => {
  it('is one row at a click, and the same at another on it', () => {
    const { result } = hook();
    act(() => result.current.byHand(1, false, false));
    act(() => result.current.byHand(2, false, false));
    expect([...result.current.selected]).toEqual(['c']);
    act(() => expect(result.current.byHand(2, false, false)).toBe(true));
    expect([...result.current.selected]).toEqual(['c']);
  });

  it('is gone once the focus is on another row, and stays while it is on one of them', () => {
    const { result } = hook();
    act(() => result.current.byHand(1, false, false));
    act(() => result.current.byHand(2, true, false));
    act(() => result.current.focused(1, 2));
    expect([...result.current.selected]).toEqual(['b', 'c']);
    act(() => result.current.focused(3, TITLE));
    expect(result.current.selected.size).toBe(0);
  });

  it('takes a row more, or one out, while control is held', () => {
    const { result } = hook();
    act(() => result.current.byHand(1, false, false));
    act(() => result.current.byHand(3, true, false));
    expect([...result.current.selected]).toEqual(['b', 'd']);
    act(() => expect(result.current.byHand(1, true, false)).toBe(false));
    expect([...result.current.selected]).toEqual(['d']);
  });

  it('goes as far as a row from where it began, either way', () => {
    const { result } = hook();
    act(() => result.current.byHand(3, false, false));
    act(() => result.current.byHand(1, false, true));
    expect([...result.current.selected]).toEqual(['b', 'c', 'd']);
    act(() => result.current.byHand(4, false, true));
    expect([...result.current.selected]).toEqual(['d', 'e']);
  });

  it('begins by keyboard at the row that has the focus, and keeps its beginning while it is extended', () => {
    const { result } = hook();
    act(() => result.current.focused(2, TITLE));
    for (const at of [3, 4, 5]) {
      act(() => {
        result.current.upTo(at, TITLE);
        result.current.extend(true);
        result.current.focused(Math.min(at, 4), TITLE);
      });
    }
    expect([...result.current.selected]).toEqual(['c', 'd', 'e']);
    act(() => result.current.focused(0, TITLE));
    act(() => result.current.upTo(1, TITLE));
    expect([...result.current.selected]).toEqual(['a', 'b']);
  });

  it('is cells beside each other where it begins at one, and gone once the focus is elsewhere', () => {
    const { result } = hook();
    act(() => result.current.focused(1, 3));
    act(() => result.current.upTo(3, 1));
    expect([[...result.current.selected], result.current.columns]).toEqual([['b', 'c', 'd'], [1, 3]]);
    act(() => result.current.focused(2, 2));
    expect([result.current.selected.size, result.current.columns]).toEqual([0, null]);
  });

  it('is whole rows as soon as the titles are among it', () => {
    const { result } = hook();
    act(() => result.current.focused(1, 0));
    act(() => result.current.upTo(2, TITLE));
    expect([[...result.current.selected], result.current.columns]).toEqual([['b', 'c'], null]);
  });
});

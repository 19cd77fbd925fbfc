import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import { useAsked } from './useAsked';

/** Answers when it is told to. */
function server() {
  const waiting: { address: string; body: unknown; answer: (status: number, body: unknown) => void }[] = [];
  vi.stubGlobal('fetch', (address: string, init: RequestInit) => new Promise((resolve) => {
    waiting.push({ address, body: init.body, answer: (status, body) => resolve({ status, ok: status < 400, json: () => Promise.resolve(body) }) });
  }));
  return waiting;
}

const rested = () => act(async () => vi.advanceTimersByTime(200));

describe('what is asked while one types', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is asked once it has rested, and once', async () => {
    const asked = server();
    const { result, rerender } = renderHook(({ q }) => useAsked<string>('/find', { q }), { initialProps: { q: 'a' } });
    act(() => vi.advanceTimersByTime(199));
    rerender({ q: 'ab' });
    act(() => vi.advanceTimersByTime(199));
    expect(asked).toHaveLength(0);
    expect(result.current.state).toBe('waiting');
    await rested();
    expect(asked.map(({ body }) => body)).toEqual(['{"q":"ab"}']);
    await act(async () => asked[0]?.answer(200, 'found'));
    expect(result.current).toEqual({ answer: 'found', last: 'found', state: 'ready' });
    rerender({ q: 'ab' });
    await rested();
    expect(asked).toHaveLength(1);
  });

  it('is not mixed up where answers come out of order', async () => {
    const asked = server();
    const { result, rerender } = renderHook(({ q }) => useAsked<string>(`/find?q=${q}`), { initialProps: { q: 'a' } });
    await rested();
    rerender({ q: 'b' });
    await rested();
    await act(async () => asked[1]?.answer(200, 'of b'));
    await act(async () => asked[0]?.answer(200, 'of a'));
    expect(result.current.answer).toBe('of b');
    rerender({ q: 'c' });
    expect(result.current).toEqual({ answer: null, last: 'of b', state: 'waiting' });
  });

  it('says that it failed, and keeps what was there', async () => {
    const asked = server();
    const { result, rerender } = renderHook(({ q }) => useAsked<string>(`/find?q=${q}`), { initialProps: { q: 'a' } });
    await rested();
    await act(async () => asked[0]?.answer(200, 'of a'));
    rerender({ q: 'b' });
    await rested();
    await act(async () => asked[1]?.answer(500, null));
    expect(result.current).toEqual({ answer: null, last: 'of a', state: 'failed' });
  });

  it('is nothing where there is no address', async () => {
    const asked = server();
    const { result } = renderHook(() => useAsked<string>(null));
    await rested();
    expect(asked).toHaveLength(0);
    expect(result.current.state).toBe('idle');
  });
});

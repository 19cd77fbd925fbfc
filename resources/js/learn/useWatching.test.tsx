import { router } from '@inertiajs/react';
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import type { Watched } from '../lib/generated/types';
import { kept } from '../lib/watching';
import { useWatching } from './useWatching';

const CARD = { medium: 1, length: 60, share: 0, needed: 90, finished: false, position: 0, played: [[0, 4]], fastest: 1.5, keep: 'somebody’s video' };

/** A player that does what it is told, and no more. */
function player(): HTMLVideoElement & { at: (seconds: number) => void } {
  const video = document.createElement('video');
  const state = { currentTime: 0, paused: true, seeking: false, duration: 60, playbackRate: 1 };
  for (const name of Object.keys(state) as (keyof typeof state)[]) {
    Object.defineProperty(video, name, {
      get: () => state[name],
      set: (value: never) => {
        state[name] = value;
      },
    });
  }
  return Object.assign(video, {
    at: (seconds: number) => {
      state.currentTime = seconds;
      video.dispatchEvent(new Event('timeupdate'));
    },
  }) as never;
}

function answering(status: number, body: Watched | null) {
  const asked = vi.fn<(address: string, init: RequestInit) => Promise<unknown>>(() => Promise.resolve({ status, ok: status < 400, json: () => Promise.resolve(body) }));
  vi.stubGlobal('fetch', asked);
  return asked;
}

function watching() {
  const video = player();
  const hook = renderHook(() => useWatching(video, CARD, 'clinker', 'l-steam'));
  return { video, ...hook };
}

function play(video: ReturnType<typeof player>, from: number, until: number) {
  Object.assign(video, { paused: false });
  video.at(from);
  video.at(until);
  Object.assign(video, { paused: true });
  video.dispatchEvent(new Event('pause'));
}

describe('whoever watches', () => {
  beforeEach(() => {
    localStorage.clear();
    vi.spyOn(router, 'reload').mockImplementation(() => undefined);
  });
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });

  it('is let go as far as they have watched, and no further', () => {
    answering(0, null);
    const { video } = watching();
    Object.assign(video, { currentTime: 30, seeking: true });
    video.dispatchEvent(new Event('seeking'));
    expect(video.currentTime).toBe(4);
    Object.assign(video, { currentTime: 3 });
    video.dispatchEvent(new Event('seeking'));
    expect(video.currentTime).toBe(3);
  });

  it('plays no faster than counts', () => {
    answering(0, null);
    const { video } = watching();
    Object.assign(video, { playbackRate: 2 });
    video.dispatchEvent(new Event('ratechange'));
    expect(video.playbackRate).toBe(1.5);
  });

  it('is told what the server believes', async () => {
    const asked = answering(200, { stored: [], share: 0.5, played: [], finished: false });
    const { video, result } = watching();
    await act(async () => play(video, 4, 6));
    expect(asked.mock.calls[0]?.[0]).toBe('/courses/clinker/l-steam/statements');
    expect(result.current).toEqual({ share: 0.5, waits: false });
  });

  it('loses nothing where the line is gone', async () => {
    const gone = vi.fn(() => Promise.reject(new TypeError('gone')));
    vi.stubGlobal('fetch', gone);
    const { video, result } = watching();
    await act(async () => play(video, 4, 6));
    expect(gone).toHaveBeenCalled();
    expect(result.current.waits).toBe(true);
    expect(kept.all(CARD.keep)).toHaveLength(1);
    const reports = kept.all(CARD.keep);
    answering(200, { stored: reports.map(({ id }) => id), share: 0.1, played: [], finished: false });
    await act(async () => window.dispatchEvent(new Event('online')));
    expect(kept.all(CARD.keep)).toHaveLength(0);
    expect(result.current.waits).toBe(false);
  });

  it('meets what waited for it at once when it is finished, and reports no more', async () => {
    const asked = answering(200, { stored: [], share: 1, played: [], finished: true });
    const { video } = watching();
    await act(async () => play(video, 4, 60));
    expect(router.reload).toHaveBeenCalledOnce();
    expect(kept.all(CARD.keep)).toHaveLength(0);
    const before = asked.mock.calls.length;
    await act(async () => play(video, 1, 2));
    expect(asked.mock.calls).toHaveLength(before);
  });

  it('meets the closed door where it is closed meanwhile', async () => {
    answering(403, null);
    const { video } = watching();
    await act(async () => play(video, 4, 6));
    expect(router.reload).toHaveBeenCalledOnce();
  });
});

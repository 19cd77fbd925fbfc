import { router } from '@inertiajs/react';
import { useCallback, useEffect, useRef, useState } from 'react';

import { learnerAddress } from '../lib/address';
import { send } from '../lib/http';
import type { WatchCard, Watched } from '../lib/generated/types';
import { uuid } from '../lib/uuid';
import { frontier, kept, Played, statement } from '../lib/watching';
import { to } from '../lib/route';

/** Seconds between reports while it plays. */
const EVERY = 5;

/** Seconds ahead of what was watched that are let through: players are not exact. */
const SLACK = 0.75;

export interface Watching {
  /** From 0 to 1, as the server believes it. */
  share: number;
  /** Reports wait in this browser for the line to come back. */
  waits: boolean;
}

/** Keeps whoever watches from skipping ahead, and reports to the server what was played. */
export function useWatching(video: HTMLVideoElement | null, watch: WatchCard | null, course: string, item: string): Watching {
  const [told, setTold] = useState<Watching>({ share: watch?.share ?? 0, waits: false });
  const sitting = useRef(uuid());
  const card = useRef(watch);
  const asking = useRef(false);
  const done = useRef(false);
  const under = watch?.finished === false ? watch.keep : null;

  const flush = useCallback(async () => {
    const reports = under === null ? [] : kept.all(under);
    if (under === null || reports.length === 0 || asking.current) {
      return;
    }
    asking.current = true;
    const { status, body } = await send<Watched>(to('lesson.watched', { course, item }), reports);
    asking.current = false;
    if (body !== null) {
      kept.drop(under, body.stored);
      setTold({ share: body.share, waits: false });
      if (body.finished) {
        done.current = true;
        kept.clear(under);
        // What waited for it opens at once.
        router.reload();
      }
    } else if (status === 401 || status === 403 || status === 404) {
      router.reload();
    } else {
      if (status === 422) {
        kept.drop(under, reports.map(({ id }) => id));
      }
      setTold((now) => ({ ...now, waits: true }));
    }
  }, [under, course, item]);

  useEffect(() => {
    if (video === null || under === null) {
      return undefined;
    }
    const played = new Played();
    const before = card.current?.played ?? [];
    const reached = () => frontier([...before, ...played.segments]);
    let reported = 0;
    const report = (verb: 'played' | 'paused' | 'terminated') => {
      if (played.segments.length > 0 && !done.current) {
        kept.put(under, sitting.current, statement(verb, { id: sitting.current, actor: under, address: learnerAddress(course, item) }, played.segments, video.currentTime, video.duration));
        void flush();
      }
    };
    const moved = () => {
      if (video.seeking) {
        return;
      }
      if (!video.paused) {
        played.moved(video.currentTime);
      }
      if (Date.now() - reported >= EVERY * 1000) {
        reported = Date.now();
        report('played');
      }
    };
    const on: Record<string, () => void> = {
      timeupdate: moved,
      playing: moved,
      seeking: () => {
        played.left();
        if (video.currentTime > reached() + SLACK) {
          video.currentTime = reached();
        }
      },
      pause: () => {
        if (!video.seeking) {
          played.moved(video.currentTime);
        }
        played.left();
        report('paused');
      },
      ratechange: () => {
        const fastest = card.current?.fastest ?? 1;
        if (video.playbackRate > fastest) {
          video.playbackRate = fastest;
        }
      },
    };
    const leave = () => {
      if (document.visibilityState === 'hidden') {
        report('terminated');
      }
    };
    const again = () => void flush();
    for (const [event, then] of Object.entries(on)) {
      video.addEventListener(event, then);
    }
    document.addEventListener('visibilitychange', leave);
    window.addEventListener('online', again);
    const timer = window.setInterval(again, EVERY * 1000);
    // What another sitting could not send.
    again();
    return () => {
      report('terminated');
      for (const [event, then] of Object.entries(on)) {
        video.removeEventListener(event, then);
      }
      document.removeEventListener('visibilitychange', leave);
      window.removeEventListener('online', again);
      window.clearInterval(timer);
    };
  }, [video, under, course, item, flush]);

  return told;
}

import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';

import { withQuery } from '../lib/address';
import { getJson } from '../lib/http';
import type { DraftNews } from '../lib/generated/types';
import { to } from '../lib/route';

const SECONDS = 5;

/** Asks now and then whether somebody else has edited the draft, shows the page as it is then, and tells what they did. */
export function useDraftNews(course: string, version: number): DraftNews | null {
  const [news, setNews] = useState<DraftNews | null>(null);
  const present = useRef(version);
  useEffect(() => {
    present.current = version;
  }, [version]);
  useEffect(() => {
    let busy = false;
    const offStart = router.on('start', () => {
      busy = true;
    });
    const offFinish = router.on('finish', () => {
      busy = false;
    });
    const timer = setInterval(() => {
      const asked = present.current;
      if (busy || document.hidden) {
        return;
      }
      void getJson<DraftNews>(withQuery(to('keep.draft.news', { course }), { since: asked })).then((answer) => {
        // What this page did itself meanwhile is no news.
        if (answer !== null && answer.version !== asked && present.current === asked && !busy) {
          setNews(answer);
          router.reload();
        }
      });
    }, SECONDS * 1000);
    return () => {
      clearInterval(timer);
      offStart();
      offFinish();
    };
  }, [course]);
  return news;
}

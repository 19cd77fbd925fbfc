import { router } from '@inertiajs/react';
import { useEffect, useRef, useState } from 'react';

import { keepAddress } from './address';
import { getJson } from './http';
import type { DraftNews } from './types';

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
      void getJson<DraftNews>(keepAddress(course, `/draft/news?since=${asked}`)).then((answer) => {
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

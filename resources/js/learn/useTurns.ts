import { router } from '@inertiajs/react';
import { useEffect } from 'react';

import { useShared } from '../lib/page';

/** Asks for the page anew when something in it opens or closes by time alone. */
export function useTurns(seconds: number | null): void {
  const { standIn } = useShared();
  const waits = standIn === undefined ? seconds : null;
  useEffect(() => {
    if (waits === null) {
      return undefined;
    }
    // A second late, as clocks differ; and a machine that slept finds out when it wakes.
    const due = Date.now() + (waits + 1) * 1000;
    const look = () => {
      if (Date.now() >= due) {
        router.reload();
      }
    };
    const timer = window.setTimeout(look, (waits + 1) * 1000 + 50);
    document.addEventListener('visibilitychange', look);
    return () => {
      window.clearTimeout(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [waits]);
}

import { router } from '@inertiajs/react';
import { useEffect } from 'react';

/** Milliseconds between two looks. */
const EVERY = 700;

/** Loads the page's props again and again while something is under way that the server does by itself. */
export function useReloads(underWay: boolean): void {
  useEffect(() => {
    if (!underWay) {
      return undefined;
    }
    let timer = 0;
    let left = false;
    const look = () =>
      router.reload({
        onFinish: () => {
          if (!left) {
            timer = window.setTimeout(look, EVERY);
          }
        },
      });
    timer = window.setTimeout(look, EVERY);
    return () => {
      left = true;
      window.clearTimeout(timer);
    };
  }, [underWay]);
}

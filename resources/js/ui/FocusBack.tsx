import { useEffect, useState } from 'react';

/** Stands in a dialog, and gives the focus back to what had it when a dialog came up, or, where that is gone (an entry of a menu), to the cell of the grid where one was. */
export function FocusBack(): null {
  const [opener] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      // What closes a dialog may have sent the focus somewhere already; and the dialog is still there while this is asked.
      requestAnimationFrame(() => {
        if (document.activeElement !== null && document.activeElement !== document.body) {
          return;
        }
        const back = opener instanceof HTMLElement && opener !== document.body && opener.isConnected ? opener : document.querySelector<HTMLElement>('main [data-cell][tabindex="0"]');
        back?.focus();
      });
    },
    [opener],
  );
  return null;
}

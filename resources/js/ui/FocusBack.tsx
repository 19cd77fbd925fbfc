import { useEffect, useState } from 'react';

export interface FocusBackProps {
  /** What had it; left out: what has it when this is first drawn, which is too late where the opener is drawn anew. */
  to?: Element | null;
}

/** What has the focus when a form is first drawn. */
export function useOpener(): Element | null {
  const [opener] = useState(() => document.activeElement);
  return opener;
}

/** Stands in a dialog, and gives the focus back to what had it when a dialog came up, or, where that is gone (an entry of a menu), to the cell of the grid where one was. */
export function FocusBack({ to }: FocusBackProps): null {
  const [opener] = useState(() => to ?? document.activeElement);
  useEffect(
    () => () => {
      // What closes a dialog may have sent the focus somewhere already; and the dialog is still there while this is asked.
      requestAnimationFrame(() => {
        if (document.activeElement !== null && document.activeElement !== document.body) {
          return;
        }
        const from = opener instanceof HTMLElement && opener !== document.body ? opener : null;
        // A word of the sheet is drawn anew once it is set.
        const word = from?.dataset['word'];
        const back = from?.isConnected === true ? from : word === undefined ? null : document.querySelector<HTMLElement>(`[data-word="${word}"]`);
        (back ?? document.querySelector<HTMLElement>('main [data-cell][tabindex="0"]'))?.focus();
      });
    },
    [opener],
  );
  return null;
}

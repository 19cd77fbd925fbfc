import { useEffect, useRef } from 'react';

import type { CopiedCells } from './paste';

/** What was copied here, beside the words that every program takes. */
export interface Clip {
  course: string;
  /** Whole rows, by key; null: cells. */
  rows: string[] | null;
  cells: CopiedCells;
}

const FORMAT = 'application/x-silent-keep-rules+json';

/** What is copied, and its words. */
export interface Copied {
  clip: Clip;
  text: string;
}

export interface ClipboardActs {
  onCopy: () => Copied;
  /** What is pasted: of here, or the words of another program. */
  onPaste: (clip: Clip | null, text: string) => void;
}

/** Copying and pasting while the focus is on a cell of the grid. What is being typed elsewhere copies and pastes as ever. */
export function useClipboard(acts: ClipboardActs | null): (copied: Copied) => void {
  const latest = useRef(acts);
  const asked = useRef<Copied | null>(null);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => {
    const inGrid = () => document.activeElement instanceof HTMLTableCellElement && document.activeElement.matches('[data-cell]');
    const onCopy = (event: ClipboardEvent) => {
      const copied = asked.current ?? (inGrid() && String(window.getSelection()) === '' ? (latest.current?.onCopy() ?? null) : null);
      asked.current = null;
      if (copied !== null) {
        event.preventDefault();
        event.clipboardData?.setData('text/plain', copied.text);
        event.clipboardData?.setData(FORMAT, JSON.stringify(copied.clip));
      }
    };
    const onPaste = (event: ClipboardEvent) => {
      if (inGrid() && latest.current !== null && event.clipboardData !== null) {
        event.preventDefault();
        latest.current.onPaste(read(event.clipboardData.getData(FORMAT)), event.clipboardData.getData('text/plain'));
      }
    };
    document.addEventListener('copy', onCopy);
    document.addEventListener('paste', onPaste);
    return () => {
      document.removeEventListener('copy', onCopy);
      document.removeEventListener('paste', onPaste);
    };
  }, []);
  return (copied) => {
    asked.current = copied;
    // The one way to put a format of one's own there by a button; the event above does it.
    document.execCommand('copy');
  };
}

/** Whatever else puts something of this format there: what is not ours is none. */
function read(json: string): Clip | null {
  try {
    const clip = json === '' ? null : (JSON.parse(json) as Partial<Clip>);
    return typeof clip?.course === 'string' && Array.isArray(clip.cells) ? { course: clip.course, rows: Array.isArray(clip.rows) ? clip.rows : null, cells: clip.cells } : null;
  } catch {
    return null;
  }
}

import { type DragEvent, useRef, useState } from 'react';

import type { OutlineRow } from '../../lib/generated/types';

export type DropPlace = 'before' | 'after' | 'inside';

/** What makes a row one that can be dragged, and one on which others can be dropped. */
export interface RowDrag {
  over: (row: OutlineRow) => { onDragOver: (event: DragEvent<HTMLTableRowElement>) => void; onDrop: (event: DragEvent<HTMLTableRowElement>) => void };
  source: (row: OutlineRow, may: boolean) => { draggable: boolean; onDragStart: (event: DragEvent) => void; onDragEnd: () => void };
}

/** Dragging rows by their titles to where they shall stand. */
export function useRowDrag(rows: { row: OutlineRow }[], selected: ReadonlySet<string> | undefined, onDropRows: ((rows: string[], target: string, place: DropPlace) => void) | undefined) {
  const [drop, setDrop] = useState<{ key: string; place: DropPlace } | null>(null);
  const dragged = useRef<string[]>([]);
  const end = () => {
    dragged.current = [];
    setDrop(null);
  };
  /** A module takes rows inside in its middle; everything else only before and after. */
  const placeOf = (event: DragEvent<HTMLTableRowElement>, row: OutlineRow): DropPlace => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = (event.clientY - box.top) / box.height;
    const kinds = rows.filter((one) => dragged.current.includes(one.row.key)).map((one) => one.row.kind);
    const takes = kinds.every((kind) => (kind === 'part' ? row.kind === 'lesson' : row.kind === 'module'));
    if (takes && at > 0.25 && at < 0.75) {
      return 'inside';
    }
    return at < 0.5 ? 'before' : 'after';
  };
  const drag: RowDrag = {
    over: (row) => ({
      onDragOver: (event) => {
        if (dragged.current.length > 0 && !dragged.current.includes(row.key)) {
          event.preventDefault();
          const place = placeOf(event, row);
          if (drop?.key !== row.key || drop.place !== place) {
            setDrop({ key: row.key, place });
          }
        }
      },
      onDrop: (event) => {
        event.preventDefault();
        if (dragged.current.length > 0) {
          onDropRows?.(dragged.current, row.key, placeOf(event, row));
        }
        end();
      },
    }),
    source: (row, may) => ({
      draggable: may,
      onDragStart: (event) => {
        dragged.current = selected?.has(row.key) === true ? rows.filter((one) => selected.has(one.row.key)).map((one) => one.row.key) : [row.key];
        event.dataTransfer.effectAllowed = 'move';
        event.dataTransfer.setData('text/plain', row.title);
      },
      onDragEnd: end,
    }),
  };
  return { drop, drag: onDropRows === undefined ? undefined : drag };
}

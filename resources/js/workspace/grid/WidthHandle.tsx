import type { PointerEvent } from 'react';

import { say } from '../../lib/keepSay';
import type { GridColumn } from './Grid';
import css from '../workspace.module.css';

export interface WidthHandleProps {
  column: GridColumn;
  width: number;
  onWiden: (id: string, width: number, kept: boolean) => void;
}

/** The line at the right of a column, by which it is drawn wider. By keyboard its width is set where the columns are chosen. */
export function WidthHandle({ column, width, onWiden }: WidthHandleProps) {
  const hold = (event: PointerEvent) => {
    event.preventDefault();
    const from = event.clientX;
    const onMove = ({ clientX }: { clientX: number }) => onWiden(column.id, width + clientX - from, false);
    const onUp = ({ clientX }: { clientX: number }) => {
      window.removeEventListener('pointermove', onMove);
      window.removeEventListener('pointerup', onUp);
      onWiden(column.id, width + clientX - from, true);
    };
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', onUp);
  };
  return <span className={css.widen} title={say('workspace.grid.widen', { column: column.title ?? '' })} onPointerDown={hold} />;
}

import { useRef, useState } from 'react';

import { say } from '../../lib/keepSay';
import { type Onward, STAY } from './CellEntry';
import css from './entry.module.css';

export interface TitleEntryProps {
  label: string;
  /** What stands in the box at first. */
  title: string;
  /** Whether what stands there is to be written over. */
  select: boolean;
  /** `onward` null: wherever the focus has gone already. */
  onKeep: (title: string, onward: Onward | null) => void;
  onLeave: (onward: Onward | null) => void;
  /** Moves a row that is not there yet out and in; left out: it stands where it stands. */
  onLevel?: (deeper: boolean) => void;
  /** Several lines were pasted; left out: they become one. */
  onLines?: (text: string) => void;
}

/** The title of a row being typed. Enter keeps, Esc leaves. */
export function TitleEntry({ label, title: first, select, onKeep, onLeave, onLevel, onLines }: TitleEntryProps) {
  const [title, setTitle] = useState(first);
  const done = useRef(false);
  const keep = (onward: Onward | null) => {
    const meant = title.trim();
    if (meant === '' || meant === first) {
      leave(onward);
    } else {
      done.current = onLevel === undefined;
      onKeep(meant, onward);
      if (onLevel !== undefined) {
        setTitle('');
      }
    }
  };
  const leave = (onward: Onward | null) => {
    done.current = true;
    onLeave(onward);
  };
  return (
    <input
      className={css['title-entry']}
      autoFocus
      aria-label={label}
      value={title}
      maxLength={255}
      placeholder={onLevel === undefined ? undefined : say('edits.outline.new_title')}
      onFocus={({ currentTarget }) => select && currentTarget.select()}
      onChange={({ currentTarget }) => setTitle(currentTarget.value)}
      onPaste={(event) => {
        const text = event.clipboardData.getData('text/plain');
        if (onLines !== undefined && text.trim().includes('\n')) {
          event.preventDefault();
          done.current = true;
          onLines(text);
        }
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.nativeEvent.isComposing) {
          return;
        }
        const acts: Record<string, () => void> = {
          Enter: () => keep([1, 0]),
          Tab: () => keep([0, event.shiftKey ? -1 : 1]),
          Escape: () => leave(STAY),
          ...(event.altKey && onLevel !== undefined ? { ArrowRight: () => onLevel(true), ArrowLeft: () => onLevel(false) } : {}),
        };
        const act = acts[event.key];
        if (act !== undefined) {
          event.preventDefault();
          act();
        }
      }}
      onBlur={() => {
        if (!done.current && document.hasFocus()) {
          keep(null);
        }
      }}
      onClick={(event) => event.stopPropagation()}
    />
  );
}

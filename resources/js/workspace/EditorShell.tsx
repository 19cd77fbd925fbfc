import { Button, Popover } from '@mantine/core';
import type { FormEvent, KeyboardEvent, ReactNode } from 'react';
import { say } from '../lib/keepSay';
import { FocusBack, useOpener } from '../ui/FocusBack';
import css from './workspace.module.css';

export interface EditorShellProps {
  /** What the form is, for those who do not see it. */
  label: string;
  width: number;
  busy?: boolean;
  /** Whether anything in it was changed: by a click elsewhere that is kept, or asked about where it cannot be; what was not is left. */
  dirty: boolean;
  onSubmit: () => void;
  onClose: () => void;
  /** The cell or word that is edited. */
  target: ReactNode;
  children: ReactNode;
}

/** The form that opens beside what it edits. What is kept goes to the draft. */
export function EditorShell({ label, width, busy = false, dirty, onSubmit, onClose, target, children }: EditorShellProps) {
  const opener = useOpener();
  const keep = (event: FormEvent) => {
    event.preventDefault();
    onSubmit();
  };
  // A list that is unfolded, or days to be picked, take the key for themselves.
  const leave = (event: KeyboardEvent<HTMLFormElement>) => {
    if (event.key === 'Escape' && !(event.target instanceof HTMLElement && (event.target.getAttribute('aria-expanded') === 'true' || event.target.closest('[data-picks]') !== null))) {
      event.stopPropagation();
      onClose();
    }
  };
  return (
    <Popover opened onDismiss={dirty ? onSubmit : onClose} trapFocus returnFocus withArrow position="bottom-start" width={width} closeOnEscape={false}>
      <Popover.Target>{target}</Popover.Target>
      <Popover.Dropdown className={css.editor}>
        <FocusBack to={opener} />
        <form onSubmit={keep} onKeyDownCapture={leave} noValidate aria-label={label}>
          {children}
          <div className={css['editor-acts']}>
            <Button type="button" variant="default" onClick={onClose}>
              {say('keep.leave')}
            </Button>
            <Button type="submit" loading={busy}>
              {say('keep.keep_in_the_draft')}
            </Button>
          </div>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}

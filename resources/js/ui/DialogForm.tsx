import { Button, Modal } from '@mantine/core';
import type { FormEvent, ReactNode } from 'react';
import { say } from '../lib/keepSay';
import { FocusBack } from './FocusBack';
import ui from './ui.module.css';

export interface DialogFormProps {
  title: string;
  /** Of the dialog in pixels. */
  size?: number;
  /** What the button that keeps it is called. */
  keep: ReactNode;
  busy: boolean;
  disabled?: boolean;
  /** What the server refused and no field stands for. */
  error?: string | undefined;
  onKeep: () => void;
  onLeave: () => void;
  children: ReactNode;
}

/** A form in a dialog: its fields, what was refused, and the two ways out. */
export function DialogForm({ title, size, keep, busy, disabled = false, error, onKeep, onLeave, children }: DialogFormProps) {
  return (
    // Esc, and a click elsewhere, first close the days that are being picked in it.
    <Modal opened onClose={() => document.querySelector('[data-picks]') === null && onLeave()} title={title} {...(size === undefined ? {} : { size })}>
      <FocusBack />
      <form
        className={ui.review}
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          onKeep();
        }}
      >
        {children}
        {error !== undefined && <p className={ui.takes}>{error}</p>}
        <div className={ui['review-acts']}>
          <Button type="button" variant="default" onClick={onLeave}>
            {say('keep.leave')}
          </Button>
          <Button type="submit" loading={busy} disabled={disabled}>
            {keep}
          </Button>
        </div>
      </form>
    </Modal>
  );
}

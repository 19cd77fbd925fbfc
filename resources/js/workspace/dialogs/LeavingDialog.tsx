import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import type { Flash } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { Words } from '../../ui/Words';
import { FocusBack } from '../../ui/FocusBack';
import ui from '../../ui/ui.module.css';

export interface LeavingDialogProps {
  /** What the server asked before it takes rows out; null: nothing was asked to be taken out. */
  asks: Flash | null;
  onLeave: () => void;
}

/** Names what depends on rows before they are taken out. */
export function LeavingDialog({ asks, onLeave }: LeavingDialogProps) {
  const [answered, setAnswered] = useState<Flash | null>(null);
  const opened = asks?.kind === 'asks' && asks !== answered;
  return (
    <Modal opened={opened} onClose={() => setAnswered(asks)} title={say('edits.leaving_dialog.take_out_all_same')}>
      <FocusBack />
      <p>{say('edits.leaving_dialog.asks', { what: asks?.text ?? '' })}</p>
      <ul>
        {asks?.lines.map((line) => (
          <li key={plainText(line)}>
            <Words segments={line.segments} />
          </li>
        ))}
      </ul>
      <p>{say('edits.leaving_dialog.that_would_be_taken')}</p>
      <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
        <Button variant="default" onClick={() => setAnswered(asks)} data-autofocus>
          {say('keep.leave_it')}
        </Button>
        <Button
          color="red"
          onClick={() => {
            setAnswered(asks);
            onLeave();
          }}
        >
          {say('edits.leaving_dialog.take_it_out')}
        </Button>
      </div>
    </Modal>
  );
}

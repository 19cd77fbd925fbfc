import { router } from '@inertiajs/react';
import { Button, Modal } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { clsx } from 'clsx';

import { useShared } from '../../lib/page';
import { plainText } from '../../lib/words';
import type { Sentence } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { Words } from '../../ui/Words';
import css from '../workspace.module.css';
import { FocusBack } from '../../ui/FocusBack';
import ui from '../../ui/ui.module.css';

type Sent = { url: string; data: Parameters<typeof router.post>[1] };

/** Somebody else was faster with the same: both versions, and the choice between them. */
export function CollisionDialog({ version }: { version: number }) {
  const { flash } = useShared();
  const sent = useRef<Sent | null>(null);
  const [answered, setAnswered] = useState<typeof flash>(null);

  // What was typed into a form is kept until the server has taken it.
  useEffect(
    () =>
      router.on('before', ({ detail: { visit } }) => {
        if (visit.method === 'post') {
          sent.current = { url: visit.url.pathname, data: visit.data };
        }
      }),
    [],
  );
  if (flash?.kind !== 'collision') {
    return null;
  }
  const setMine = () => {
    const again = sent.current;
    setAnswered(flash);
    if (again !== null && !(again.data instanceof FormData)) {
      router.post(again.url, { ...again.data, version }, { preserveScroll: true, preserveState: true });
    }
  };
  return (
    <Modal opened={flash !== answered} onClose={() => setAnswered(flash)} title={say('edits.collision_dialog.two_edits_same')} size="lg">
      <FocusBack />
      <p>{flash.text}</p>
      <div className={css.collision}>
        <section>
          <h3>{say('edits.collision_dialog.saved_now')}</h3>
          <Lines lines={flash.lines} none={say('edits.collision_dialog.something_was_undone_or')} />
        </section>
        <section>
          <h3>{say('edits.collision_dialog.yours_not_saved')}</h3>
          <Lines lines={flash.mine ?? []} none={say('edits.collision_dialog.same_as_what_saved')} />
        </section>
      </div>
      <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
        <Button variant="default" onClick={() => setAnswered(flash)} data-autofocus>
          {say('edits.collision_dialog.leave_as')}
        </Button>
        {(flash.mine ?? []).length > 0 && <Button onClick={setMine}>{say('edits.collision_dialog.set_mine_all_same')}</Button>}
      </div>
    </Modal>
  );
}

function Lines({ lines, none }: { lines: Sentence[]; none: string }) {
  return lines.length === 0 ? (
    <p className={ui.soft}>{none}</p>
  ) : (
    <ul>
      {lines.map((line) => (
        <li key={plainText(line)}>
          <Words segments={line.segments} />
        </li>
      ))}
    </ul>
  );
}

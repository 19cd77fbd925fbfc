import { router } from '@inertiajs/react';
import { useState } from 'react';

import { LearnerShell } from '../../learn/LearnerShell';
import type { StopLettersPage } from '../../lib/generated/types';
import { Button } from '../../ui/Plain';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

/** Reached from a letter: its reader need not sign in to get no more of them. */
export default function StopLetters({ title, told, wanted, any }: StopLettersPage) {
  const [busy, setBusy] = useState(false);
  const choose = (choice: { wanted: boolean; all?: boolean }) => router.post(window.location.pathname + window.location.search, choice, { onStart: () => setBusy(true), onFinish: () => setBusy(false) });
  return (
    <LearnerShell title={say('letters.title', { title })} signIn={null}>
      <section className={css.doorform}>
        <h1>{say('letters.title', { title })}</h1>
        <p>{say(wanted ? 'letters.get' : 'letters.not', { told })}</p>
        <Button disabled={busy} onClick={() => choose({ wanted: !wanted })}>
          {say(wanted ? 'letters.stop' : 'letters.want')}
        </Button>
        {any && (
          <Button variant="default" disabled={busy} onClick={() => choose({ wanted: false, all: true })}>
            {say('letters.stop_all')}
          </Button>
        )}
        <p>{say('letters.always')}</p>
      </section>
    </LearnerShell>
  );
}

import { router } from '@inertiajs/react';
import { useState } from 'react';

import { LearnerShell } from '../../learn/LearnerShell';
import type { StopPage } from '../../lib/generated/types';
import { Button } from '../../ui/Plain';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

/** Nobody is taken off a list by a program that only follows links: there is a button. */
export default function Stop({ course, email }: StopPage) {
  const [busy, setBusy] = useState(false);
  return (
    <LearnerShell title={say('next_run.stop_title', { course })} signIn={null}>
      <section className={css.doorform}>
        <h1>{say('next_run.stop_title', { course })}</h1>
        <p>{say('next_run.stop_text', { course, email })}</p>
        <Button loading={busy} onClick={() => router.delete(window.location.pathname, { onStart: () => setBusy(true), onFinish: () => setBusy(false) })}>
          {say('next_run.stop')}
        </Button>
      </section>
    </LearnerShell>
  );
}

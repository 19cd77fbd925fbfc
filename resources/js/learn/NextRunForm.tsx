import { useForm } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { ClosingWords } from '../lib/generated/types';
import { useShared } from '../lib/page';
import { to } from '../lib/route';
import { Button } from '../ui/Plain';
import { say } from '../lib/say';
import { AccountFields } from '../ui/AccountFields';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

/** Asks to be told when a course that is over runs again: by name and address, or with the account one has. */
export function NextRunForm({ course, signUp }: { course: string; signUp: ClosingWords['signUp'] }) {
  const { standIn } = useShared();
  const form = useForm({ name: '', email: '' });
  if (signUp === 'none') {
    return null;
  }
  return (
    <form
      className={clsx(css.doorform, css.nextrun)}
      aria-label={say('next_run.title')}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(to('course.next-run', { course }), { preserveScroll: true, onSuccess: () => form.reset() });
      }}
    >
      <h2>{say('next_run.title')}</h2>
      <p className={ui.soft}>{say('next_run.told')}</p>
      {signUp === 'form' && <AccountFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />}
      <Button type="submit" loading={form.processing} disabled={standIn !== undefined}>
        {say('next_run.ask')}
      </Button>
    </form>
  );
}

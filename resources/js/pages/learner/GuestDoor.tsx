import { useForm } from '@inertiajs/react';
import type { FormEvent } from 'react';

import { LearnerShell } from '../../learn/LearnerShell';
import { useShared } from '../../lib/page';
import { to } from '../../lib/route';
import { Button, TextInput } from '../../ui/Plain';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

export default function GuestDoor({ token, course }: { token: string; course: string }) {
  const { school } = useShared();
  const form = useForm({ phrase: '' });
  return (
    <LearnerShell title={say('guest.title')}>
      <form
        className={css.doorform}
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.post(to('guest.enter', { token }));
        }}
      >
        <h1>{say('guest.title')}</h1>
        <p>{say('guest.why', { course, school: school.name })}</p>
        <TextInput label={say('guest.phrase')} autoComplete="off" autoFocus value={form.data.phrase} error={form.errors.phrase} onChange={(event) => form.setData('phrase', event.currentTarget.value)} />
        <Button type="submit" loading={form.processing}>
          {say('guest.enter')}
        </Button>
      </form>
    </LearnerShell>
  );
}

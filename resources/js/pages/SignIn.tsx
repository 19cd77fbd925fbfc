import { useForm } from '@inertiajs/react';
import type { FormEvent } from 'react';

import { Mark } from '../ui/Arch';
import { useShared } from '../lib/page';
import { Title } from '../learn/Title';
import { FlashNote } from '../ui/FlashNote';
import { Button, PasswordInput, TextInput, Tick } from '../ui/Plain';
import { to } from '../lib/route';
import { say } from '../lib/say';
import ui from '../ui/ui.module.css';

export default function SignIn() {
  const { school } = useShared();
  const form = useForm({ email: '', password: '', remember: false });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    form.post(to('sign-in'), { onFinish: () => form.reset('password') });
  };
  return (
    <div className={ui.signin}>
      <Title of={say('sign_in')} />
      <FlashNote />
      <main>
        <div className={ui['signin-door']}>
          <p className={ui['signin-school']}>{school.name}</p>
          <h1>{say('sign_in')}</h1>
          <form onSubmit={submit} noValidate>
            <TextInput
              name="email"
              label={say('door.email')}
              type="email"
              autoComplete="username"
              autoFocus
              value={form.data.email}
              error={form.errors.email}
              onChange={(event) => form.setData('email', event.currentTarget.value)}
            />
            <PasswordInput
              name="password"
              label={say('door.password')}
              autoComplete="current-password"
              value={form.data.password}
              error={form.errors.password}
              onChange={(event) => form.setData('password', event.currentTarget.value)}
            />
            <Tick
              name="remember"
              label={say('door.remember')}
              checked={form.data.remember}
              onChange={(event) => form.setData('remember', event.currentTarget.checked)}
            />
            <Button type="submit" loading={form.processing}>
              {say('sign_in')}
            </Button>
            <button type="button" className={ui.linklike} onClick={() => form.post(to('sign-in.send'), { preserveState: true })}>
              {say('door.no_password')}
            </button>
          </form>
        </div>
        <p className={ui['signin-mark']}>
          <Mark /> {say('door.product')}
        </p>
      </main>
    </div>
  );
}

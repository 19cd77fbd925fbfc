import { Head, useForm } from '@inertiajs/react';
import { Button, Checkbox, PasswordInput, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import { Mark } from '../glyphs/Arch';
import { useShared } from '../lib/page';
import { FlashNote } from '../ui/FlashNote';

export default function SignIn() {
  const { school } = useShared();
  const form = useForm({ email: '', password: '', remember: false });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    form.post('/sign-in', { onFinish: () => form.reset('password') });
  };
  return (
    <div className="signin">
      <Head title="Sign in" />
      <FlashNote />
      <main>
        <div className="signin-door">
          <p className="signin-school">{school.name}</p>
          <h1>Sign in</h1>
          <form onSubmit={submit} noValidate>
            <TextInput
              label="E-mail address"
              type="email"
              autoComplete="username"
              autoFocus
              value={form.data.email}
              error={form.errors.email}
              onChange={(event) => form.setData('email', event.currentTarget.value)}
            />
            <PasswordInput
              label="Password"
              autoComplete="current-password"
              value={form.data.password}
              error={form.errors.password}
              onChange={(event) => form.setData('password', event.currentTarget.value)}
            />
            <Checkbox
              label="Keep me signed in on this machine"
              checked={form.data.remember}
              onChange={(event) => form.setData('remember', event.currentTarget.checked)}
            />
            <Button type="submit" loading={form.processing} fullWidth>
              Sign in
            </Button>
            <button type="button" className="linklike" onClick={() => form.post('/sign-in/link', { preserveState: true })}>
              No password? Have a link sent to you
            </button>
          </form>
        </div>
        <p className="signin-mark">
          <Mark /> Silent Keep
        </p>
      </main>
    </div>
  );
}

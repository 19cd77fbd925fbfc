import { router, useForm } from '@inertiajs/react';
import { Button, PasswordInput } from '@mantine/core';
import type { FormEvent } from 'react';

import type { AccountPage } from '../lib/types';
import { KeepShell } from '../ui/KeepShell';
import { LearnerShell } from '../ui/LearnerShell';

export default function Account(page: AccountPage) {
  return page.staff ? (
    <KeepShell title="Your account">
      <main className="plainpage">
        <Content page={page} />
      </main>
    </KeepShell>
  ) : (
    <LearnerShell title="Your account">
      <Content page={page} />
    </LearnerShell>
  );
}

function Content({ page: { name, email, confirmed, hasPassword } }: { page: AccountPage }) {
  return (
    <div className="account">
      <h1>Your account</h1>
      <p>
        {name}, {email}
      </p>
      {confirmed ? (
        <PasswordForm hasPassword={hasPassword} />
      ) : (
        <p>
          A letter was sent to {email}. Use its link, and what you hold here is yours on every device; until then it is on this one alone.
        </p>
      )}
      <section>
        <h2>Where you are signed in</h2>
        <p>If you have left yourself signed in on a machine that is not yours, end it from here. This one goes on.</p>
        <Button type="button" variant="default" onClick={() => router.post('/account/sessions', {}, { preserveScroll: true })}>
          Sign out everywhere else
        </Button>
      </section>
    </div>
  );
}

function PasswordForm({ hasPassword }: { hasPassword: boolean }) {
  const form = useForm({ current: '', password: '', password_confirmation: '' });
  const { data, setData, errors } = form;
  const change = (event: FormEvent) => {
    event.preventDefault();
    form.put('/account/password', { preserveScroll: true, onSuccess: () => form.reset() });
  };
  return (
    <section>
      <h2>{hasPassword ? 'Change your password' : 'Choose a password'}</h2>
      {!hasPassword && <p>You sign in by links that are sent to you. With a password you can do without.</p>}
      <form className="review" onSubmit={change} noValidate>
        {hasPassword && (
          <PasswordInput label="The one you have now" autoComplete="current-password" value={data.current} error={errors.current} onChange={(event) => setData('current', event.currentTarget.value)} />
        )}
        <PasswordInput label="A new one" description="At least twelve characters; a few words make a good one." autoComplete="new-password" value={data.password} error={errors.password} onChange={(event) => setData('password', event.currentTarget.value)} />
        <PasswordInput label="The new one once more" autoComplete="new-password" value={data.password_confirmation} error={errors.password_confirmation} onChange={(event) => setData('password_confirmation', event.currentTarget.value)} />
        <div className="review-acts">
          <Button type="submit" loading={form.processing}>
            {hasPassword ? 'Change it' : 'Keep it'}
          </Button>
        </div>
      </form>
    </section>
  );
}

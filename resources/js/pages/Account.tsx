import { router, useForm } from '@inertiajs/react';
import type { FormEvent } from 'react';

import type { AccountPage } from '../lib/generated/types';
import { KeepShell } from '../ui/KeepShell';
import { LetterChoices } from '../ui/LetterChoices';
import { LearnerShell } from '../learn/LearnerShell';
import { Button, PasswordInput, Tick } from '../ui/Plain';
import { to } from '../lib/route';
import { say } from '../lib/say';
import ui from '../ui/ui.module.css';

export default function Account(page: AccountPage) {
  return page.staff ? (
    <KeepShell title={say('account.title')}>
      <main className={ui.plainpage}>
        <Content page={page} />
      </main>
    </KeepShell>
  ) : (
    <LearnerShell title={say('account.title')}>
      <Content page={page} />
    </LearnerShell>
  );
}

function Content({ page: { name, email, confirmed, hasPassword, letters, language, schoolLanguage, own } }: { page: AccountPage }) {
  // Each by its own name.
  const names = { en: say('account.language_en'), nb: say('account.language_nb') };
  return (
    <div className={ui.account}>
      <h1>{say('account.title')}</h1>
      <p>
        {say('account.is', { name, email })}
      </p>
      {confirmed ? (
        <PasswordForm hasPassword={hasPassword} />
      ) : (
        <p>
          {say('account.unconfirmed', { email })}
        </p>
      )}
      <section>
        <h2>{say('account.letters')}</h2>
        <p>{say('account.letters_told')}</p>
        <LetterChoices letters={letters} address={to('account.letters')} />
      </section>
      <section>
        <h2>{say('account.language')}</h2>
        <p>{say('account.language_told')}</p>
        {[
          { value: '', label: say('account.language_school', { language: names[schoolLanguage] }) },
          { value: 'en', label: names.en },
          { value: 'nb', label: names.nb },
        ].map(({ value, label }) => (
          <Tick key={value} type="radio" name="language" label={label} checked={language === value} onChange={() => router.post(to('language'), { language: value }, { preserveScroll: true })} />
        ))}
      </section>
      <section>
        <h2>{own.title}</h2>
        <p>{own.told}</p>
        <p>
          <a href={to('account.data')} download>
            {own.takeOut}
          </a>
        </p>
      </section>
      <section>
        <h2>{say('account.where')}</h2>
        <p>{say('account.elsewhere')}</p>
        <Button type="button" variant="default" onClick={() => router.post(to('account.sessions'), {}, { preserveScroll: true })}>
          {say('account.sign_out')}
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
    form.put(to('account.password'), { preserveScroll: true, onSuccess: () => form.reset() });
  };
  return (
    <section>
      <h2>{say(hasPassword ? 'account.change' : 'account.choose')}</h2>
      {!hasPassword && <p>{say('account.links')}</p>}
      <form className={ui.review} onSubmit={change} noValidate>
        {hasPassword && (
          <PasswordInput label={say('account.current')} autoComplete="current-password" value={data.current} error={errors.current} onChange={(event) => setData('current', event.currentTarget.value)} />
        )}
        <PasswordInput label={say('account.new')} description={say('account.long')} autoComplete="new-password" value={data.password} error={errors.password} onChange={(event) => setData('password', event.currentTarget.value)} />
        <PasswordInput label={say('account.again')} autoComplete="new-password" value={data.password_confirmation} error={errors.password_confirmation} onChange={(event) => setData('password_confirmation', event.currentTarget.value)} />
        <div className={ui['review-acts']}>
          <Button type="submit" loading={form.processing}>
            {say(hasPassword ? 'account.change_it' : 'account.keep_it')}
          </Button>
        </div>
      </form>
    </section>
  );
}

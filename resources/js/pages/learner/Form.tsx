import { useForm } from '@inertiajs/react';

import { LearnerShell } from '../../learn/LearnerShell';
import { Prose } from '../../learn/Prose';
import type { FormPage } from '../../lib/generated/types';
import { say } from '../../lib/say';
import { Button, Textarea, Tick } from '../../ui/Plain';
import { AccountFields } from '../../ui/AccountFields';
import css from '../../learn/learn.module.css';

/** A small form of the school, for anybody. */
export default function Form({ name, html, consent, questions, asksWho, once, sent }: FormPage) {
  return (
    <LearnerShell title={name}>
      <section className={css.publicform}>
        <h1>{name}</h1>
        {sent && (
          <p role="status">
            <b>{say('form.sent')}</b>
          </p>
        )}
        <Prose html={html} />
        {sent ? <p>{say('form.letter')}</p> : <Fields consent={consent} questions={questions} asksWho={asksWho} once={once} />}
      </section>
    </LearnerShell>
  );
}

function Fields({ consent, questions, asksWho, once }: Pick<FormPage, 'consent' | 'questions' | 'asksWho' | 'once'>) {
  const form = useForm({ once, name: '', email: '', consents: false, website: '', answers: questions.map(() => '') });
  const { data, setData } = form;
  const errors = form.errors as Partial<Record<string, string>>;
  return (
    <form
      className={css.doorform}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(window.location.pathname, { preserveScroll: true });
      }}
    >
      {asksWho && <AccountFields data={data} errors={{ name: errors.name, email: errors.email }} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />}
      {questions.map(({ ask, required }, index) => (
        <Textarea
          key={ask}
          label={ask}
          required={required}
          maxLength={2000}
          value={data.answers[index] ?? ''}
          error={errors[`answers.${index}`]}
          onChange={(event) => setData('answers', data.answers.map((answer, at) => (at === index ? event.currentTarget.value : answer)))}
        />
      ))}
      {consent !== '' && <Tick label={consent} checked={data.consents} error={errors.consents} onChange={(event) => setData('consents', event.currentTarget.checked)} />}
      <div className={css.trap} aria-hidden>
        <label>
          {say('form.trap')}
          <input type="text" name="website" tabIndex={-1} autoComplete="off" value={data.website} onChange={(event) => setData('website', event.currentTarget.value)} />
        </label>
      </div>
      <Button type="submit" loading={form.processing}>
        {say('form.send')}
      </Button>
    </form>
  );
}

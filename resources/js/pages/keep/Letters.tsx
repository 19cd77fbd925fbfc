import { Link, router, useForm } from '@inertiajs/react';
import { Button, Checkbox, NumberInput, Textarea, TextInput } from '@mantine/core';

import { withQuery } from '../../lib/address';
import type { LetterPreview, LetterRow, LettersPage, PlaceholderRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { useShared } from '../../lib/page';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import { ToldTabs } from '../../notices/ToldTabs';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import css from '../../notices/notices.module.css';
import ui from '../../ui/ui.module.css';

/** The letters that the school writes by itself. */
export default function Letters({ letters, placeholders, open, email, mayEdit }: LettersPage) {
  const shown = letters.find((letter) => letter.kind === open) ?? letters[0];
  return (
    <KeepShell title={say('notices.letters.title')}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('notices.letters.title')}</h1>
          </div>
          <p className={ui.doors}>{say('notices.letters.told')}</p>
        </div>
        <ToldTabs here="letters" />
      </PageHead>
      <main className={ui.notices}>
        <nav aria-label={say('notices.letters.kinds')}>
          <ul>
            {letters.map(({ kind, title, on, isOwn }) => (
              <li key={kind}>
                <Link href={withQuery(to('keep.letters'), { kind })} aria-current={kind === shown?.kind ? 'page' : undefined} preserveScroll>
                  {title}
                  <span>{say('notices.letters.row', { on: on ? 'yes' : 'no', own: isOwn ? 'yes' : 'no' })}</span>
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        {shown !== undefined && <LetterForm key={`${shown.kind} ${shown.version}`} letter={shown} placeholders={placeholders.filter(({ name }) => shown.placeholders.includes(name))} email={email} mayEdit={mayEdit} />}
      </main>
    </KeepShell>
  );
}

interface LetterFormProps {
  letter: LetterRow;
  placeholders: PlaceholderRow[];
  email: string;
  mayEdit: boolean;
}

function LetterForm({ letter, placeholders, email, mayEdit }: LetterFormProps) {
  const { school } = useShared();
  const form = useForm({ version: letter.version, on: letter.on, days: letter.days, hour: letter.hour, subject: letter.subject, body: letter.body });
  const { data, errors, setData } = form;
  const address = { kind: letter.kind };
  // Not by the form: what it has sent counts as kept.
  const sample = () => router.post(to('keep.letters.sample', address), data, { preserveScroll: true, preserveState: true, onSuccess: () => form.clearErrors(), onError: (refused) => form.setError(refused as typeof errors) });
  return (
    <div className={ui['notice-edit']}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.put(to('keep.letters.save', address), { preserveScroll: true });
        }}
      >
        <h2>{letter.title}</h2>
        <p className={ui.soft}>
          {letter.told} {say(letter.asked ? 'notices.letters.asked' : 'notices.letters.stopped', { count: letter.stopped })}
        </p>
        <Checkbox label={say('notices.letters.on')} description={switched(letter, data.on)} disabled={!mayEdit} checked={data.on} error={errors.on} onChange={(event) => setData('on', event.currentTarget.checked)} />
        {letter.days !== null && <NumberInput label={say('notices.letters.days')} min={1} max={90} allowDecimal={false} disabled={!mayEdit} value={data.days ?? ''} error={errors.days} onChange={(days) => setData('days', days === '' ? null : Number(days))} />}
        {letter.hour !== null && <NumberInput label={say('notices.letters.hour', { zone: school.zoneName })} min={0} max={23} allowDecimal={false} suffix=":00" disabled={!mayEdit} value={data.hour ?? ''} error={errors.hour} onChange={(hour) => setData('hour', hour === '' ? null : Number(hour))} />}
        <TextInput label={say('notices.letters.subject')} maxLength={200} disabled={!mayEdit} value={data.subject} error={errors.subject} onChange={(event) => setData('subject', event.currentTarget.value)} />
        <Textarea label={say('notices.letters.body')} description={say('notices.letters.body_told')} autosize minRows={8} maxRows={18} maxLength={10000} disabled={!mayEdit} value={data.body} error={errors.body} onChange={(event) => setData('body', event.currentTarget.value)} />
        <details className={css.placeholders}>
          <summary>{say('notices.letters.placeholders')}</summary>
          <dl>
            {placeholders.map(({ name, means }) => (
              <div key={name}>
                <dt>
                  <button type="button" className={ui.linklike} disabled={!mayEdit} onClick={() => setData('body', `${data.body}{${name}}`)}>
                    {`{${name}}`}
                  </button>
                </dt>
                <dd>{means}</dd>
              </div>
            ))}
          </dl>
        </details>
        {mayEdit && (
          <div className={ui['review-acts']}>
            <Button type="button" variant="default" title={say('notices.letters.try_told', { email })} onClick={sample}>
              {say('notices.letters.try')}
            </Button>
            {letter.isOwn && (
              <Button type="button" variant="default" onClick={() => router.delete(to('keep.letters.usual', address), { data: { version: letter.version }, preserveScroll: true })}>
                {say('notices.letters.usual')}
              </Button>
            )}
            <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
              {say('notices.letters.save')}
            </Button>
          </div>
        )}
      </form>
      <Previewed letter={letter} subject={data.subject} body={data.body} isOn={data.on} />
    </div>
  );
}

/** What ticking it comes to. */
function switched(letter: LetterRow, on: boolean): string | undefined {
  if (on === letter.on) {
    return undefined;
  }
  if (on) {
    return say('notices.letters.from_now');
  }
  return letter.kind === 'trial-ends' ? say('notices.letters.erased_unwarned') : undefined;
}

function Previewed({ letter, subject, body, isOn }: { letter: LetterRow; subject: string; body: string; isOn: boolean }) {
  const { last: preview } = useAsked<LetterPreview>(to('keep.letters.preview', { kind: letter.kind }), { subject, body }, 250);
  return (
    <section className={ui['notice-preview']} aria-label={say('notices.letters.preview')} aria-live="polite">
      <p className={ui.soft}>
        {say('notices.letters.preview')} {!isOn && say('notices.letters.unsent')}
      </p>
      {preview !== null && (
        <div className={css.letter}>
          <dl>
            <dt>{say('notices.letters.from')}</dt>
            <dd>{preview.from}</dd>
            <dt>{say('notices.letters.to')}</dt>
            <dd>{preview.to}</dd>
          </dl>
          <h3>{preview.subject}</h3>
          <pre>{preview.body}</pre>
        </div>
      )}
      {preview !== null && preview.unknown.length > 0 && <p className={ui.wrongly}>{say('notices.preview.unknown', { names: preview.unknown.map((name) => `{${name}}`).join(', ') })}</p>}
    </section>
  );
}

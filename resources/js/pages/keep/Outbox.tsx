import { Link, router } from '@inertiajs/react';
import { Button, SegmentedControl, Select, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState, type FormEvent } from 'react';

import type { OutboxPage, SentLetter } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { KeepShell } from '../../ui/KeepShell';
import { LetterLook } from '../../offers/LetterLook';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { Pager } from '../../ui/Pager';
import { to } from '../../lib/route';
import { withQuery } from '../../lib/address';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

const STATES = ['waiting', 'sent', 'failed', 'stopped'] as const;

export default function Outbox({ letters, find, state, total, page, pages }: OutboxPage) {
  const filtered = find !== null || state !== null;
  const asked = { ...(find === null ? {} : { find }), ...(state === null ? {} : { state }) };
  const search = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const words = String(new FormData(event.currentTarget).get('find') ?? '').trim();
    router.get(withQuery(to('keep.outbox'), { ...(words === '' ? {} : { find: words }), ...(state === null ? {} : { state }) }));
  };
  return (
    <KeepShell title={say('outbox.title')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('outbox.title')}</h1>
        <OutboxTabs here="mail" />
        {total === 0 && !filtered ? (
          <div className={ui.empty}>
            <p>
              <b>{say('outbox.mail.none')}</b> {say('outbox.mail.none_told')}
            </p>
          </div>
        ) : (
          <>
            <form className={css.shopfind} role="search" onSubmit={search}>
              <TextInput name="find" aria-label={say('outbox.mail.find_label')} placeholder={say('outbox.mail.find_hint')} defaultValue={find ?? ''} maxLength={200} />
              <Select
                aria-label={say('outbox.mail.state_label')}
                data={[{ value: '', label: say('outbox.mail.any_state') }, ...STATES.map((one) => ({ value: one, label: say('outbox.mail.state', { state: one }) }))]}
                value={state ?? ''}
                allowDeselect={false}
                onChange={(chosen) => router.get(withQuery(to('keep.outbox'), { ...(find === null ? {} : { find }), ...(chosen === null || chosen === '' ? {} : { state: chosen }) }))}
              />
              <Button type="submit" variant="default">
                {say('outbox.mail.find')}
              </Button>
              {filtered && <Link href={to('keep.outbox')}>{say('outbox.mail.everything')}</Link>}
            </form>
            <p className={ui.soft}>{say(filtered ? 'outbox.mail.found' : 'outbox.mail.told', { count: total })}</p>
            <ul className={css.letters}>
              {letters.map((letter) => (
                <Letter key={letter.id} letter={letter} />
              ))}
            </ul>
            <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.outbox'), { ...asked, page: at })} />
          </>
        )}
      </main>
    </KeepShell>
  );
}

function Letter({ letter }: { letter: SentLetter }) {
  const [as, setAs] = useState('text');
  return (
    <li>
      <details>
        <summary>
          <b>{letter.subject}</b>
          <span>
            {say('outbox.mail.to', { to: letter.to, when: letter.when })}
            {letter.state !== 'sent' && <b className={letter.state === 'failed' ? ui.wrongly : undefined}> · {say('outbox.mail.state', { state: letter.state })}</b>}
          </span>
        </summary>
        {letter.problem !== null && <p className={ui.wrongly}>{say('outbox.mail.problem', { problem: letter.problem })}</p>}
        <SegmentedControl
          size="xs"
          value={as}
          onChange={setAs}
          data={[
            { value: 'text', label: say('outbox.mail.as_text') },
            { value: 'look', label: say('outbox.mail.as_it_looks') },
          ]}
        />
        {as === 'text' ? <pre>{letter.body}</pre> : <LetterLook letter={letter} />}
        <p className={css.after}>
          {letter.again && (
            <Button size="xs" variant="default" onClick={() => router.post(to('keep.letters.again', { message: letter.id }), { tries: letter.tries }, { preserveScroll: true })}>
              {say(letter.state === 'failed' ? 'outbox.mail.again' : 'outbox.mail.once_more')}
            </Button>
          )}
          {letter.person !== null && <Link href={to('keep.person', { person: letter.person })}>{say('outbox.mail.person')}</Link>}
        </p>
      </details>
    </li>
  );
}

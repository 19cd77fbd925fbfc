import { Link, router, useForm, usePoll } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useEffect, useState } from 'react';

import type { ErasedTold, PersonDataPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import css from '../../people/people.module.css';
import school from '../../school/school.module.css';
import { DialogForm } from '../../ui/DialogForm';
import { KeepShell } from '../../ui/KeepShell';
import ui from '../../ui/ui.module.css';

/** All that is kept of somebody, and what can be done about it. */
export default function PersonData({ id, name, email, held, refused, pays, erased }: PersonDataPage) {
  const [open, setOpen] = useState<'correct' | 'erase' | null>(null);
  const title = say('privacy.data.title', { name });
  const leave = () => setOpen(null);
  return (
    <KeepShell title={title}>
      <main className={ui.plainpage}>
        <p>
          <Link href={to('keep.person', { person: id })}>{name}</Link>
        </p>
        <div className={clsx(ui.pagehead, css.pagehead)}>
          <h1>{title}</h1>
          {erased === null && (
            <div className={css.headacts}>
              <Button component="a" variant="default" href={to('keep.person.archive', { person: id })} download>
                {say('privacy.data.take_out')}
              </Button>
              <Button variant="default" onClick={() => setOpen('correct')}>
                {say('privacy.data.correct')}
              </Button>
              <Button variant="default" onClick={() => setOpen('erase')}>
                {say('privacy.data.erase')}
              </Button>
            </div>
          )}
        </div>
        {erased === null ? <p className={ui.soft}>{say('privacy.data.told')}</p> : <Erased erased={erased} />}
        {held.length === 0 ? (
          <p className={ui.soft}>{say('privacy.data.nothing')}</p>
        ) : (
          <div className={school.scroll}>
          <table className={ui.list}>
            <caption className={ui.vh}>{title}</caption>
            <thead>
              <tr>
                <th scope="col">{say('privacy.data.what')}</th>
                <th scope="col">{say('privacy.data.rows')}</th>
                {erased === null && <th scope="col">{say('privacy.data.then')}</th>}
              </tr>
            </thead>
            <tbody>
              {held.map(({ what, rows, then }) => (
                <tr key={what}>
                  <th scope="row">{what}</th>
                  <td>{rows}</td>
                  {erased === null && <td>{then}</td>}
                </tr>
              ))}
            </tbody>
          </table>
          </div>
        )}
        {open === 'correct' && <CorrectDialog person={{ id, name, email }} onLeave={leave} />}
        {open === 'erase' && <EraseDialog person={{ id, name, email }} refused={refused} pays={pays} onLeave={leave} />}
      </main>
    </KeepShell>
  );
}

function Erased({ erased: { when, by, done, gone, left } }: { erased: ErasedTold }) {
  const { stop } = usePoll(2000, { only: ['erased', 'held'] });
  useEffect(() => {
    if (done) {
      stop();
    }
  }, [done, stop]);
  return (
    <section className={css.erased}>
      <p>
        {say('privacy.erased.when', { when, by })} {say('privacy.erased.rest')}
      </p>
      {!done && <p className={ui.takes}>{say('privacy.erased.waiting')}</p>}
      {gone.length > 0 && (
        <>
          <h2>{say('privacy.erased.gone')}</h2>
          <p>{gone.join(' · ')}</p>
        </>
      )}
      {done && (
        <>
          <h2>{say('privacy.erased.left')}</h2>
          <p className={ui.soft}>{say(left.length === 0 ? 'privacy.erased.nowhere' : 'privacy.erased.left_told')}</p>
          <ul>
            {left.map((place) => (
              <li key={place}>{place}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

interface Named {
  id: number;
  name: string;
  email: string;
}

function CorrectDialog({ person, onLeave }: { person: Named; onLeave: () => void }) {
  const form = useForm({ name: person.name, email: person.email, from: person.email });
  const { data, errors, setData } = form;
  return (
    <DialogForm title={say('privacy.correct.title')} size={520} keep={say('privacy.correct.keep')} busy={form.processing} disabled={!form.isDirty} error={errors.from} onLeave={onLeave} onKeep={() => form.put(to('keep.person.correct', { person: person.id }), { preserveScroll: true, onSuccess: onLeave })}>
      <TextInput label={say('privacy.correct.name')} maxLength={200} data-autofocus value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <TextInput type="email" label={say('privacy.correct.email')} description={say('privacy.correct.email_told')} maxLength={190} value={data.email} error={errors.email} onChange={(event) => setData('email', event.currentTarget.value)} />
    </DialogForm>
  );
}

function EraseDialog({ person, refused, pays, onLeave }: { person: Named; refused: string | null; pays: string[]; onLeave: () => void }) {
  const [typed, setTyped] = useState('');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | undefined>();
  const erase = () =>
    router.delete(to('keep.person.erase', { person: person.id }), { data: { typed }, onStart: () => setBusy(true), onFinish: () => setBusy(false), onError: (errors) => setError(errors.typed), onSuccess: onLeave });
  return (
    <DialogForm title={say('privacy.erase.title', { name: person.name })} size={560} keep={say('privacy.erase.keep')} busy={busy} disabled={refused !== null || typed.trim().toLowerCase() !== person.email.toLowerCase()} onLeave={onLeave} onKeep={erase}>
      <p>
        <b>{say('privacy.erase.told')}</b>
      </p>
      <p>{say('privacy.erase.goes')}</p>
      <p>{say('privacy.erase.stays')}</p>
      <p>{say('privacy.erase.looked')}</p>
      <p>{say('privacy.erase.backups')}</p>
      {pays.length > 0 && <p className={ui.takes}>{say('privacy.erase.pays', { offers: pays.join(', ') })}</p>}
      {refused === null ? (
        <TextInput label={say('privacy.erase.type', { address: person.email })} data-autofocus autoComplete="off" spellCheck={false} value={typed} error={error} onChange={(event) => setTyped(event.currentTarget.value)} />
      ) : (
        <p className={ui.takes}>{refused}</p>
      )}
    </DialogForm>
  );
}

import { Link } from '@inertiajs/react';
import { Button, Modal, TextInput } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../lib/address';
import type { EffectCount, RehearsalPage, TouchedPeople } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useShared } from '../lib/page';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { ActDialog } from '../people/ActDialog';
import { FocusBack } from '../ui/FocusBack';
import css from './publishing.module.css';
import ui from '../ui/ui.module.css';

/** Rows that are drawn at once. */
const SHOWN = 100;

export interface TouchedProps {
  page: RehearsalPage;
  effect: EffectCount;
  /** On which row; null: in all. */
  row: { item: string; title: string } | null;
  observers: boolean;
}

/** The ways to everybody whom a publication touches in one way: their list, and a letter to all of them before. */
export function Touched(props: TouchedProps) {
  const [open, setOpen] = useState<{ at: 'list' | 'letter'; from: HTMLElement } | null>(null);
  const { signedIn } = useShared();
  const { effect } = props;
  return (
    <>
      <span className={css.touchedacts}>
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={({ currentTarget }) => setOpen({ at: 'list', from: currentTarget })}>
          {say('publishing.touched.list', { count: effect.count })} <span className={ui.vh}>{say('publishing.touched.of', { effect: effect.words })}</span>
        </button>
        {signedIn?.runs === true && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={({ currentTarget }) => setOpen({ at: 'letter', from: currentTarget })}>
            {say('publishing.touched.tell')} <span className={ui.vh}>{say('publishing.touched.of', { effect: effect.words })}</span>
          </button>
        )}
      </span>
      {open !== null && (
        <>
          {/* The list may give way to the letter, which was opened by nothing that is still there. */}
          <FocusBack to={open.from} />
          <TouchedList {...props} at={open.at} mayWrite={signedIn?.runs === true} onClose={() => setOpen(null)} />
        </>
      )}
    </>
  );
}

function TouchedList({ page, effect, row, observers, at, mayWrite, onClose }: TouchedProps & { at: 'list' | 'letter'; mayWrite: boolean; onClose: () => void }) {
  const { course, back, setFor } = page;
  const address = withQuery(to('keep.rehearsal.people', { course: course.key }), { back, for: setFor, effect: effect.effect, item: row?.item ?? null, observers: observers ? 1 : null });
  const { answer: told, state } = useAsked<TouchedPeople>(address, undefined, 0);
  const field = useRef<HTMLInputElement>(null);
  const there = told !== null;
  // It comes after the dialog has given the focus away.
  useEffect(() => {
    if (there) {
      field.current?.focus();
    }
  }, [there]);
  const [typed, setTyped] = useState('');
  const [more, setMore] = useState(1);
  const [writing, setWriting] = useState(at === 'letter');
  const wanted = typed.trim().toLowerCase();
  const found = (told?.people ?? []).filter(({ name, email, with: learner }) => wanted === '' || [name, email, learner ?? ''].some((text) => text.toLowerCase().includes(wanted)));
  const title = row === null ? say('publishing.touched.title', { count: effect.count, effect: effect.words }) : say('publishing.touched.title_of', { count: effect.count, effect: effect.words, title: row.title });
  if (writing && told !== null && found.length > 0) {
    // To whom it is about, and with what it is about; what is to be said is for whoever says it.
    const act = { do: 'write', subject: row === null ? course.title : `${row.title}, ${course.title}` };
    return <ActDialog title={say('publishing.touched.write', { count: new Set(found.map(({ id }) => id)).size })} act={act} whom={{ people: [...new Set(found.map(({ id }) => id))] }} offers={[]} courses={[]} labels={[]} onClose={onClose} />;
  }
  return (
    <Modal opened onClose={onClose} title={title} size={620}>
      {state === 'failed' && <p className={ui.takes}>{say('publishing.touched.failed')}</p>}
      {state === 'waiting' && <p className={ui.soft}>{say('publishing.touched.looking')}</p>}
      {told !== null && (
        <>
          <TextInput ref={field} aria-label={say('keep.name_or_e_mail')} placeholder={say('keep.name_or_e_mail')} value={typed} onChange={(event) => [setTyped(event.currentTarget.value), setMore(1)]} />
          <p className={ui.soft} role="status">
            {say('publishing.touched.found', { found: found.length, people: told.people.length })}
            {told.people.length < told.count && ` ${say('publishing.touched.not_all', { kept: told.people.length, count: told.count })}`}
          </p>
          <ul className={clsx(ui.found, css.touchedlist)}>
            {found.slice(0, more * SHOWN).map((one) => (
              <li key={`${one.id} ${one.with ?? ''}`}>
                <span>
                  <Link href={to('keep.person', { person: one.id })}>{one.name}</Link> {one.email}
                  {one.with !== null && ` · ${say('publishing.touched.with', { name: one.with })}`}
                </span>
              </li>
            ))}
          </ul>
          {found.length > more * SHOWN && (
            <p>
              <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setMore(more + 1)}>
                {say('publishing.touched.more', { count: found.length - more * SHOWN })}
              </button>
            </p>
          )}
          {mayWrite && (
            <div className={ui['review-acts']}>
              <Button variant="default" disabled={found.length === 0} onClick={() => setWriting(true)}>
                {say('publishing.touched.write', { count: new Set(found.map(({ id }) => id)).size })}
              </Button>
            </div>
          )}
        </>
      )}
    </Modal>
  );
}

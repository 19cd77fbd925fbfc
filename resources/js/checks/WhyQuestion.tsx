import { Autocomplete, Button } from '@mantine/core';
import { type FormEvent, useEffect, useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundPerson, FoundThing } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './checks.module.css';

export interface Question {
  person: number;
  course: string;
  item: string;
  title: string;
}

/** The question itself: who cannot see what. Each field takes the first that is found where nothing is picked. */
export function WhyQuestion({ onAsk }: { onAsk: (question: Question) => void }) {
  const [who, setWho] = useState('');
  const [what, setWhat] = useState('');
  const people = useAsked<FoundPerson[]>(who.trim() === '' ? null : withQuery(to('keep.people.find'), { q: nameOf(who) }), undefined, 120);
  const rows = useAsked<FoundThing[]>(what.trim() === '' ? null : withQuery(to('keep.find.rows'), { q: titleOf(what) }), undefined, 120);
  const people1 = people.answer ?? people.last ?? [];
  const rows1 = rows.answer ?? rows.last ?? [];
  const person = people1.find((one) => personWords(one) === who) ?? people1[0];
  const row = rows1.find((one) => rowWords(one) === what) ?? rows1[0];
  const ready = who.trim() !== '' && what.trim() !== '' && people.answer !== null && rows.answer !== null;
  const missing = ready && person === undefined ? say('today.nobody') : ready && row === undefined ? say('today.nothing') : null;
  // Whoever is quicker than the lists is answered when these have come.
  const [waits, setWaits] = useState(false);
  const asks = waits && ready;
  useEffect(() => {
    if (!asks) return;
    setWaits(false);
    if (person !== undefined && row !== undefined && row.course !== null && row.item !== null) {
      onAsk({ person: person.id, course: row.course, item: row.item, title: say('today.asked', { who: person.name, what: row.title }) });
    }
    // What was asked is what stands there then; it is asked once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [asks]);
  const ask = (event: FormEvent) => {
    event.preventDefault();
    setWaits(who.trim() !== '' && what.trim() !== '');
  };
  const typed = (set: (words: string) => void) => (words: string) => {
    setWaits(false);
    set(words);
  };
  return (
    <form className={css.question} onSubmit={ask} role="search" aria-label={say('today.question')}>
      <span>{say('today.why_can')}</span>
      <Autocomplete aria-label={say('today.who')} placeholder={say('today.who')} value={who} onChange={typed(setWho)} data={people1.map(personWords)} filter={({ options }) => options} w={180} error={missing !== null && person === undefined} />
      <span>{say('today.not_see')}</span>
      <Autocomplete aria-label={say('today.what')} placeholder={say('today.what')} value={what} onChange={typed(setWhat)} data={rows1.map(rowWords)} filter={({ options }) => options} w={200} error={missing !== null && row === undefined} />
      <span aria-hidden="true">{say('today.mark')}</span>
      <Button type="submit" variant="default" loading={waits && (people.state === 'waiting' || rows.state === 'waiting')}>
        {say('today.say_why')}
      </Button>
      {missing !== null && (
        <p className={css.missing} role="alert">
          {missing}
        </p>
      )}
    </form>
  );
}

/** As it stands in the list: two people may be called the same. */
function personWords({ name, email }: FoundPerson): string {
  return `${name}, ${email}`;
}

function rowWords({ title, note }: FoundThing): string {
  return `${title}, ${note}`;
}

/** What is looked for when one of the list stands in the field. */
function nameOf(typed: string): string {
  return typed.replace(/^.*, (?=[^,@\s]+@[^,\s]+$)/, '');
}

function titleOf(typed: string): string {
  return typed.replace(/, (module|lesson|part|board), .*$/, '');
}

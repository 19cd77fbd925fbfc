import { Select } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundPerson, TriedOn } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { Words } from '../ui/Words';
import type { TriggerFields } from './TriggerEditor';
import css from './triggers.module.css';
import ui from '../ui/ui.module.css';

/** Leads from a word of the sentence to the field that it stands for. */
function reach(of: string): void {
  document.querySelector<HTMLElement>(`[data-field="${CSS.escape(of)}"]`)?.focus();
}

/** What it would do as it is typed, without doing it: of late, and to somebody. */
export function Tried({ data }: { data: TriggerFields }) {
  const [person, setPerson] = useState<string | null>(null);
  const [find, setFind] = useState('');
  const wanted = find.trim();
  const { last: people, state: finding } = useAsked<FoundPerson[]>(wanted.length < 2 ? null : withQuery(to('keep.people.find'), { q: wanted }), undefined, 200);
  const { answer } = useAsked<TriedOn>(data.steps.length === 0 ? null : to('keep.triggers.try'), { ...data, person: person === null ? null : Number(person) }, 300);
  if (answer === null) {
    return null;
  }
  const { sentence, lately, who, person: name, against, steps } = answer;
  return (
    <section className={css.tried} aria-live="polite">
      <h3>{say('setoff.sentence')}</h3>
      <p className={css.sentence}>
        <Words segments={sentence.segments} onChoose={reach} />
      </p>
      <p>{say('setoff.lately', { count: lately })}</p>
      {who.length > 0 && (
        <ul>
          {who.slice(0, 5).map((one) => (
            <li key={one}>{one}</li>
          ))}
          {lately > 5 && <li>{say('setoff.more', { count: lately - Math.min(5, who.length) })}</li>}
        </ul>
      )}
      <Select label={say('setoff.try')} description={say('setoff.try_told')} size="xs" searchable clearable nothingFoundMessage={finding === 'ready' && wanted.length >= 2 ? say('setoff.nobody') : undefined} data={(people ?? []).map(({ id, name: called }) => ({ value: `${id}`, label: called }))} value={person} onSearchChange={setFind} onChange={setPerson} />
      {name !== null && (
        <>
          <p>
            <b>{say('setoff.would', { name })}</b> {against !== null && <span className={ui.takes}>{against}</span>}
          </p>
          {steps.length > 0 && (
            <ul>
              {steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ul>
          )}
        </>
      )}
    </section>
  );
}

import { Link, router } from '@inertiajs/react';
import { Modal, TextInput } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundPerson } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { FocusBack } from './FocusBack';
import ui from './ui.module.css';

/** Their page, where one goes on typing what they cannot see. */
function addressOf({ id }: FoundPerson): string {
  return withQuery(to('keep.person', { person: id }), { ask: 'why' });
}

/** Anybody, from anywhere, by a part of their name or address: Enter goes to the first. */
export function FindSomebody({ onClose }: { onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const wanted = typed.trim();
  const { answer, last, state } = useAsked<FoundPerson[]>(wanted === '' ? null : withQuery(to('keep.people.find'), { q: wanted }), undefined, 120);
  const found = wanted === '' ? [] : (answer ?? last ?? []);
  const [first] = answer ?? [];
  return (
    <Modal opened onClose={onClose} title={say('keep.find.title')}>
      <FocusBack />
      <p className={ui.soft}>{say('keep.find.then')}</p>
      <TextInput
        aria-label={say('keep.name_or_e_mail')}
        placeholder={say('keep.name_or_e_mail')}
        data-autofocus
        mt={8}
        value={typed}
        onChange={({ currentTarget }) => setTyped(currentTarget.value)}
        onKeyDown={({ key }) => {
          if (key === 'Enter' && first !== undefined && wanted !== '') {
            onClose();
            router.visit(addressOf(first));
          }
        }}
      />
      <p className={ui.vh} role="status">
        {state === 'ready' && wanted !== '' ? say('keep.find.found', { count: found.length }) : ''}
      </p>
      {state === 'failed' && <p className={ui.takes}>{say('keep.find.failed')}</p>}
      {state === 'ready' && wanted !== '' && found.length === 0 && <p className={ui.soft}>{say('keep.find.nobody')}</p>}
      <ul className={ui.found}>
        {found.map((person) => (
          <li key={person.id}>
            <Link href={addressOf(person)} onClick={onClose}>
              <b>{person.name}</b>
            </Link>{' '}
            <span className={ui.soft}>{person.email}</span>
          </li>
        ))}
      </ul>
    </Modal>
  );
}

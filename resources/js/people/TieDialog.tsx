import { router } from '@inertiajs/react';
import { Modal, TextInput } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundPerson } from '../lib/generated/types';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';

/** Finds somebody to be tied to this person. */
export function TieDialog({ person, name, as, onClose }: { person: number; name: string; as: 'observer' | 'learner'; onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const { last: found } = useAsked<FoundPerson[]>(withQuery(to('keep.people.find'), { q: typed }), undefined, 150);
  const tie = (other: number) => {
    const data = as === 'observer' ? { people: [person], observer: other } : { people: [other], observer: person };
    router.post(to('keep.people.act'), { ...data, do: 'observe' }, { preserveScroll: true, preserveState: true, onFinish: onClose });
  };
  return (
    <Modal opened onClose={onClose} title={as === 'observer' ? `Who looks in on ${name}` : `On whom ${name} looks in`}>
      <TextInput aria-label="Name or e-mail" placeholder="Name or e-mail" data-autofocus value={typed} onChange={(event) => setTyped(event.currentTarget.value)} />
      <ul className="found">
        {(found ?? [])
          .filter(({ id }) => id !== person)
          .map((one) => (
            <li key={one.id}>
              <span>
                <b>{one.name}</b> {one.email}
              </span>
              <button type="button" className="linklike" aria-label={`Tie ${one.name}`} onClick={() => tie(one.id)}>
                Tie
              </button>
            </li>
          ))}
      </ul>
    </Modal>
  );
}

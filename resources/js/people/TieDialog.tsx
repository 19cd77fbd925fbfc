import { router } from '@inertiajs/react';
import { Modal, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../lib/address';
import type { FoundPerson } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

/** Finds somebody to be tied to this person. */
export function TieDialog({ person, name, as, onClose }: { person: number; name: string; as: 'observer' | 'learner'; onClose: () => void }) {
  const [typed, setTyped] = useState('');
  const { last: found } = useAsked<FoundPerson[]>(withQuery(to('keep.people.find'), { q: typed }), undefined, 150);
  const tie = (other: number) => {
    const data = as === 'observer' ? { people: [person], observer: other } : { people: [other], observer: person };
    router.post(to('keep.people.act'), { ...data, do: 'observe' }, { preserveScroll: true, preserveState: true, onFinish: onClose });
  };
  return (
    <Modal opened onClose={onClose} title={as === 'observer' ? say('people.tie_dialog.who_looks_in_on', { name }) : say('people.tie_dialog.on_whom_name_looks', { name })}>
      <TextInput aria-label={say('keep.name_or_e_mail')} placeholder={say('keep.name_or_e_mail')} data-autofocus value={typed} onChange={(event) => setTyped(event.currentTarget.value)} />
      <ul className={ui.found}>
        {(found ?? [])
          .filter(({ id }) => id !== person)
          .map((one) => (
            <li key={one.id}>
              <span>
                <b>{one.name}</b> {one.email}
              </span>
              <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('people.tie_dialog.tie_name', { name: one.name })} onClick={() => tie(one.id)}>
                {say('people.tie_dialog.tie')}
              </button>
            </li>
          ))}
      </ul>
    </Modal>
  );
}

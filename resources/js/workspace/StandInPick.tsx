import { Select } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../lib/address';
import type { FoundPerson, Vantage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { capital } from '../lib/words';

export interface StandInPickProps {
  course: string;
  label: string;
  /** Who it is now; left out: nobody. */
  value: Vantage | undefined;
  /** The usual vantages of the course. */
  others: Vantage[];
  /** Whether it can be nobody. */
  clearable: boolean;
  onPick: (vantage: string | null) => void;
}

/** Whom to stand in for: a vantage, or anybody by a part of their name. */
export function StandInPick({ course, label, value, others, clearable, onPick }: StandInPickProps) {
  const [typed, setTyped] = useState(value === undefined ? '' : capital(value.name));
  const wanted = typed.trim();
  const asks = wanted !== '' && wanted !== capital(value?.name ?? '');
  const { last } = useAsked<FoundPerson[]>(asks ? withQuery(to('keep.people', { course }), { q: wanted }) : null, undefined, 150);
  const known = value === undefined || others.some(({ id }) => id === value.id) ? others : [value, ...others];
  const people = (asks ? (last ?? []) : []).map(({ id, name, email }) => ({ value: `person:${id}`, label: name, email })).filter((person) => !known.some(({ id }) => id === person.value));
  return (
    <Select
      aria-label={label}
      placeholder={say('workspace.stand_in.type_a_name')}
      size="xs"
      w={230}
      searchable
      selectFirstOptionOnChange
      clearable={clearable}
      allowDeselect={false}
      nothingFoundMessage={say('workspace.stand_in.nobody_of_this_name')}
      searchValue={typed}
      onSearchChange={setTyped}
      // People are found by the school, by their address too.
      filter={({ options, search }) =>
        options.map((group) => ('items' in group ? { ...group, items: group.items.filter((one) => one.value.startsWith('person:') || !asks || one.label.toLowerCase().includes(search.trim().toLowerCase())) } : group))
      }
      data={[
        { group: say('workspace.stand_in.vantages'), items: known.map(({ id, name }) => ({ value: id, label: capital(name) })) },
        { group: say('keep.people'), items: people.map(({ value: id, label: name, email }) => ({ value: id, label: `${name} · ${email}` })) },
      ]}
      value={value?.id ?? null}
      onKeyDown={({ key }) => {
        // Who was found after the last letter is not pointed at yet.
        const [first] = people;
        if (key === 'Enter' && first !== undefined && document.querySelector('[data-combobox-selected]') === null) {
          onPick(first.value);
        }
      }}
      onChange={(id) => id !== value?.id && onPick(id)}
    />
  );
}

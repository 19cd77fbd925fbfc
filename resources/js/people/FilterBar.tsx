import { Link } from '@inertiajs/react';
import { TextInput } from '@mantine/core';
import { useState } from 'react';

import type { PeoplePage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import css from './people.module.css';

const STANDINGS = [
  { value: '', label: say('people.filter_bar.anybody') },
  { value: 'trial', label: say('people.filter_bar.on_a_trial') },
  { value: 'samples', label: say('people.filter_bar.only_looked_at_samples') },
  { value: 'none', label: say('people.filter_bar.never_held_a_pass') },
  { value: 'observes', label: say('people.filter_bar.observe_somebody') },
  { value: 'observed', label: say('people.filter_bar.are_observed') },
  { value: 'staff', label: say('people.filter_bar.staff') },
];

const SORTS = [
  { value: 'name', label: say('people.filter_bar.by_name') },
  { value: 'ends', label: say('people.filter_bar.whose_pass_ends_first') },
  { value: 'seen', label: say('people.filter_bar.last_here_first') },
  { value: 'newest', label: say('people.filter_bar.newest_first') },
];

type Filter = PeoplePage['filter'];

export interface FilterBarProps extends Pick<PeoplePage, 'filter' | 'offers' | 'courses' | 'labels'> {
  onShow: (changes: Filter) => void;
}

export function FilterBar({ filter, offers, courses, labels, onShow }: FilterBarProps) {
  const [find, setFind] = useState(filter['find'] ?? '');
  const number = (key: string, label: string, after: string) => (
    <label>
      {label}{' '}
      <input
        type="number"
        min={0}
        defaultValue={filter[key] ?? ''}
        onBlur={(event) => event.currentTarget.value !== (filter[key] ?? '') && onShow({ [key]: event.currentTarget.value })}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />{' '}
      {after}
    </label>
  );
  const pick = (key: string, label: string, options: { value: string; label: string }[]) => (
    <label>
      {label}{' '}
      <select value={filter[key] ?? ''} onChange={(event) => onShow({ [key]: event.currentTarget.value })}>
        {options.map(({ value, label: words }) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
  const any = { value: '', label: 'any' };
  return (
    <div className={css.peoplefilter} role="search">
      <TextInput id="find" aria-label={say('keep.name_or_e_mail')} placeholder={say('keep.name_or_e_mail')} value={find} onChange={(event) => setFind(event.currentTarget.value)} onKeyDown={(event) => event.key === 'Enter' && onShow({ find })} onBlur={() => find !== (filter['find'] ?? '') && onShow({ find })} rightSection={<kbd>/</kbd>} />
      {pick('standing', say('people.filter_bar.who'), STANDINGS)}
      {pick('holds', say('people.filter_bar.holds'), [any, ...offers.map(({ key, title }) => ({ value: key, label: title }))])}
      {pick('label', say('keep.label'), [any, ...labels.map((label) => ({ value: label, label }))])}
      {number('ends_in', say('people.filter_bar.ends_within'), 'days')}
      {number('ended', say('people.filter_bar.ended_in_the_last'), 'days')}
      {number('unseen', say('people.filter_bar.not_here_for'), 'days')}
      {pick('course', say('people.filter_bar.progress_in'), [any, ...courses.map(({ key, title }) => ({ value: key, label: title }))])}
      {(filter['course'] ?? '') !== '' && (
        <>
          {number('from', 'from', '%')}
          {number('to', 'to', '%')}
        </>
      )}
      {pick('sort', say('people.filter_bar.sorted'), SORTS)}
      {Object.keys(filter).length > 0 && <Link href={to('keep.people.list')}>{say('people.filter_bar.clear')}</Link>}
    </div>
  );
}

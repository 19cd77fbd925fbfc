import { Link } from '@inertiajs/react';
import { TextInput } from '@mantine/core';
import { useState } from 'react';

import type { PeoplePage } from '../lib/generated/types';
import { to } from '../lib/route';

const STANDINGS = [
  { value: '', label: 'Anybody' },
  { value: 'trial', label: 'On a trial' },
  { value: 'samples', label: 'Only looked at samples' },
  { value: 'none', label: 'Never held a pass' },
  { value: 'observes', label: 'Observe somebody' },
  { value: 'observed', label: 'Are observed' },
  { value: 'staff', label: 'Staff' },
];

const SORTS = [
  { value: 'name', label: 'by name' },
  { value: 'ends', label: 'whose pass ends first' },
  { value: 'seen', label: 'last here first' },
  { value: 'newest', label: 'newest first' },
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
    <div className="peoplefilter" role="search">
      <TextInput id="find" aria-label="Name or e-mail" placeholder="Name or e-mail" value={find} onChange={(event) => setFind(event.currentTarget.value)} onKeyDown={(event) => event.key === 'Enter' && onShow({ find })} onBlur={() => find !== (filter['find'] ?? '') && onShow({ find })} rightSection={<kbd>/</kbd>} />
      {pick('standing', 'Who', STANDINGS)}
      {pick('holds', 'Holds', [any, ...offers.map(({ key, title }) => ({ value: key, label: title }))])}
      {pick('label', 'Label', [any, ...labels.map((label) => ({ value: label, label }))])}
      {number('ends_in', 'Ends within', 'days')}
      {number('ended', 'Ended in the last', 'days')}
      {number('unseen', 'Not here for', 'days')}
      {pick('course', 'Progress in', [any, ...courses.map(({ key, title }) => ({ value: key, label: title }))])}
      {(filter['course'] ?? '') !== '' && (
        <>
          {number('from', 'from', '%')}
          {number('to', 'to', '%')}
        </>
      )}
      {pick('sort', 'Sorted', SORTS)}
      {Object.keys(filter).length > 0 && <Link href={to('keep.people.list')}>Clear</Link>}
    </div>
  );
}

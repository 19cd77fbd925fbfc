import { Link, usePage } from '@inertiajs/react';
import type { RefObject } from 'react';

import { withQuery } from '../lib/address';
import type { WorkspacePage } from '../lib/generated/types';

const LENSES: { id: WorkspacePage['lens']; title: string }[] = [
  { id: 'rules', title: 'Rules' },
  { id: 'sightlines', title: 'Sightlines' },
  { id: 'timeline', title: 'Timeline' },
];

interface LensCornerProps {
  lens: WorkspacePage['lens'];
  /** Which the address names, by key. */
  row: string | null;
  filter: string;
  field: RefObject<HTMLInputElement | null>;
  onFilter: (filter: string) => void;
  /** How many rows the filter leaves, and of how many. */
  shown: number;
  rows: number;
}

/** Above the outline: the lenses, and what is looked for in the rows. */
export function LensCorner({ lens, row, filter, field, onFilter, shown, rows }: LensCornerProps) {
  const { url } = usePage();
  return (
    <>
      <ul className="lenses">
        {LENSES.map(({ id, title }, index) => (
          <li key={id}>
            <Link href={withQuery(url, { lens: id, row })} preserveState preserveScroll aria-current={id === lens ? 'page' : undefined}>
              <kbd>{index + 1}</kbd>
              {title}
            </Link>
          </li>
        ))}
      </ul>
      <label className="filter">
        <kbd>/</kbd>
        <input
          ref={field}
          type="search"
          placeholder="Filter rows"
          aria-label="Filter rows"
          value={filter}
          onChange={(event) => onFilter(event.currentTarget.value)}
          onBlur={() => window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { find: filter === '' ? null : filter }))}
        />
        <span>{shown === rows ? `${rows} rows` : `${shown} of ${rows}`}</span>
      </label>
    </>
  );
}

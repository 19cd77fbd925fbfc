import { Link, usePage } from '@inertiajs/react';
import { clsx } from 'clsx';
import type { RefObject } from 'react';

import { withQuery } from '../lib/address';
import type { WorkspacePage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useFolds } from './folds';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

const LENSES: { id: WorkspacePage['lens']; title: string; told: string }[] = [
  { id: 'rules', title: say('workspace.lens_corner.rules'), told: say('workspace.lens_corner.told_rules') },
  { id: 'sightlines', title: say('workspace.lens_corner.sightlines'), told: say('workspace.lens_corner.told_sightlines') },
  { id: 'timeline', title: say('workspace.lens_corner.timeline'), told: say('workspace.lens_corner.told_timeline') },
  { id: 'notices', title: say('workspace.lens_corner.notices'), told: say('workspace.lens_corner.told_notices') },
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

/** What a browser calls the page of a course in this lens. */
export function titleIn(lens: WorkspacePage['lens'], course: string): string {
  return say('workspace.lens_corner.course_in_lens', { course, lens: LENSES.find(({ id }) => id === lens)?.title ?? '' });
}

/** Above the outline: the lenses, and what is looked for in the rows. */
export function LensCorner({ lens, row, filter, field, onFilter, shown, rows }: LensCornerProps) {
  const { url } = usePage();
  const folds = useFolds();
  return (
    <>
      <ul className={css.lenses}>
        {LENSES.map(({ id, title, told }, index) => (
          <li key={id}>
            <Link href={withQuery(url, { lens: id, row })} preserveState preserveScroll aria-current={id === lens ? 'page' : undefined} aria-keyshortcuts={`${index + 1}`} title={say('workspace.lens_corner.key', { told, key: index + 1 })}>
              {title}
            </Link>
          </li>
        ))}
      </ul>
      <div className={css.filter}>
        <kbd>/</kbd>
        <input
          ref={field}
          type="search"
          title={say('workspace.lens_corner.filter_by')}
          placeholder={say('workspace.lens_corner.filter_rows')}
          aria-label={say('workspace.lens_corner.filter_rows')}
          value={filter}
          onChange={(event) => onFilter(event.currentTarget.value)}
          onBlur={() => window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { find: filter === '' ? null : filter }))}
        />
        {folds.holds.size > 0 && filter === '' && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => folds.all(folds.folded.size === 0)}>
            {say(folds.folded.size === 0 ? 'workspace.lens_corner.fold' : 'workspace.lens_corner.unfold')}
          </button>
        )}
        <span>{shown === rows ? say('workspace.lens_corner.all_rows', { rows }) : say('workspace.lens_corner.shown_of_rows', { shown, rows })}</span>
      </div>
    </>
  );
}

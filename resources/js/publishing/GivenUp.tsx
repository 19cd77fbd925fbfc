import { router } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { CourseHead, GivenUpRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { plainText } from '../lib/words';
import { Words } from '../ui/Words';
import { to } from '../lib/route';
import css from './publishing.module.css';
import ui from '../ui/ui.module.css';

export interface GivenUpProps {
  course: CourseHead;
  rows: GivenUpRow[];
  mayEdit: boolean;
}

/** What was tried and given up within the last day; each can be the draft again. */
export function GivenUp({ course, rows, mayEdit }: GivenUpProps) {
  if (rows.length === 0) {
    return null;
  }
  return (
    <details className={css.givenup}>
      <summary>{say('publishing.given_up.title', { count: rows.length })}</summary>
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            <p className={ui.soft}>{row.words}</p>
            <ul>
              {row.changes.map((change) => (
                <li key={plainText(change)}>
                  <Words segments={change.segments} />
                </li>
              ))}
            </ul>
            {!row.fits ? (
              <p className={ui.soft}>{say('publishing.given_up.published_since')}</p>
            ) : (
              mayEdit && (
                <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.post(to('keep.draft.bring-back', { course: course.key, givenUp: row.id }), { version: course.draftVersion })}>
                  {say(course.edits > 0 ? 'publishing.given_up.instead' : 'publishing.given_up.again')}
                </button>
              )
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

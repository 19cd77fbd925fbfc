import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { HistoryPage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { GivenUp } from '../../publishing/GivenUp';
import { to } from '../../lib/route';
import css from '../../publishing/publishing.module.css';
import ui from '../../ui/ui.module.css';

export default function History({ course, revisions, givenUp, mayEdit }: HistoryPage) {
  return (
    <KeepShell title={say('publishing.history.title', { course: course.title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('publishing.history.heading')}</h1>
          </div>
          <p className={ui.doors}>
            {saying('publishing.history.told', {
              course: (
                <Link key="course" href={to('keep.course', { course: course.key })}>
                  {course.title}
                </Link>
              ),
              file: (
                <a key="file" href={to('keep.plan-file', { course: course.key })}>
                  {say('publishing.history.file')}
                </a>
              ),
            })}
          </p>
        </div>
      </PageHead>
      <main className={ui.plainpage}>
        <GivenUp course={course} rows={givenUp} mayEdit={mayEdit} />
        <ol className={css.history}>
          {revisions.map((revision) => (
            <li key={revision.number}>
              <h2>
                {say('publishing.history.revision', { number: revision.number })}
                {revision.live && <span className={clsx(ui.state, ui['state-live'])}>{say('publishing.history.live')}</span>}
              </h2>
              <p className={ui.soft}>
                <time dateTime={revision.instant}>{revision.publishedAt}</time> · {revision.author ?? say('publishing.history.program')}
                {revision.note !== null && say('publishing.history.note', { note: revision.note })}
              </p>
              <ul>
                {revision.changes.map((change) => (
                  <li key={plainText(change)}>
                    <Words segments={change.segments} />
                  </li>
                ))}
              </ul>
              <p>
                <Link href={withQuery(to('keep.changed', { course: course.key }), { revision: revision.number })}>{say('changed.did')}</Link>
              </p>
              {mayEdit && !revision.live && (
                <Button component={Link} href={withQuery(to('keep.rehearsal', { course: course.key }), { back: revision.number })} variant="default" size="compact-sm">
                  {say('publishing.history.go_back')}
                </Button>
              )}
            </li>
          ))}
        </ol>
      </main>
    </KeepShell>
  );
}

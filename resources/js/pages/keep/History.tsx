import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { withQuery } from '../../lib/address';
import type { HistoryPage } from '../../lib/generated/types';
import { plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';

export default function History({ course, revisions, mayEdit }: HistoryPage) {
  return (
    <KeepShell title={`History of ${course.title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>History</h1>
          </div>
          <p className="doors">
            <Link href={to('keep.course', { course: course.key })}>{course.title}</Link> · every publication, the newest first ·{' '}
            <a href={to('keep.plan-file', { course: course.key })}>plan file of what is live</a>
          </p>
        </div>
      </div>
      <main className="plainpage">
        <ol className="history">
          {revisions.map((revision) => (
            <li key={revision.number}>
              <h2>
                Revision {revision.number}
                {revision.live && <span className="state state-live">live</span>}
              </h2>
              <p className="soft">
                {revision.publishedAt} · {revision.author ?? 'the program itself'}
                {revision.note !== null && ` · “${revision.note}”`}
              </p>
              <ul>
                {revision.changes.map((change) => (
                  <li key={plainText(change)}>
                    <Words segments={change.segments} />
                  </li>
                ))}
              </ul>
              {mayEdit && !revision.live && (
                <Button component={Link} href={withQuery(to('keep.rehearsal', { course: course.key }), { back: revision.number })} variant="default" size="compact-sm">
                  Rehearse going back to it
                </Button>
              )}
            </li>
          ))}
        </ol>
      </main>
    </KeepShell>
  );
}

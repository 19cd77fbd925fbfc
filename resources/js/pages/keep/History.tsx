import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { keepAddress, withQuery } from '../../lib/address';
import type { HistoryPage } from '../../lib/types';
import { plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';

export default function History({ course, revisions, mayEdit }: HistoryPage) {
  return (
    <KeepShell title={`History of ${course.title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>History</h1>
          </div>
          <p className="doors">
            <Link href={keepAddress(course.key)}>{course.title}</Link> · every publication, the newest first ·{' '}
            <a href={keepAddress(course.key, '/plan.json')}>plan file of what is live</a>
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
                <Button component={Link} href={withQuery(keepAddress(course.key, '/rehearsal'), { back: revision.number })} variant="default" size="compact-sm">
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

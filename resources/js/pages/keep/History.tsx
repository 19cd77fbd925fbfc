import { Link, router } from '@inertiajs/react';
import { Button, Modal } from '@mantine/core';
import { useState } from 'react';

import { keepAddress } from '../../lib/address';
import type { HistoryPage, RevisionRow } from '../../lib/types';
import { plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';

export default function History({ course, revisions, mayEdit }: HistoryPage) {
  const [back, setBack] = useState<RevisionRow | null>(null);
  const [busy, setBusy] = useState(false);
  const takeBack = () => {
    router.post(
      keepAddress(course.key, '/revisions/live'),
      { live: course.revision, number: back?.number },
      { onStart: () => setBusy(true), onFinish: () => [setBusy(false), setBack(null)] },
    );
  };
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
                <Button variant="default" size="compact-sm" onClick={() => setBack(revision)}>
                  Make it live again
                </Button>
              )}
            </li>
          ))}
        </ol>
      </main>
      <Modal opened={back !== null} onClose={() => setBack(null)} title={`Make revision ${back?.number} live again?`}>
        <p>Every learner meets the course as it was then, from this moment. All that came after stays in the history and can be made live again.</p>
        <div className="review-acts modal-acts">
          <Button variant="default" onClick={() => setBack(null)}>
            Leave it
          </Button>
          <Button loading={busy} onClick={takeBack} data-autofocus>
            Make it live
          </Button>
        </div>
      </Modal>
    </KeepShell>
  );
}

import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { useState } from 'react';

import { useReloads } from '../../lib/useReloads';
import type { ActPage } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import { OutcomeList } from '../../people/OutcomeList';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';

const many = (people: number) => counted(people, 'person', 'people');

/** An act on many people: looked at by the queue first, then done in one go, and taken back in one. */
export default function Act(page: ActPage) {
  const { id, told, state, looked, of, touched, outcomes, canBeUndone, problem, actor, made, undone, stale } = page;
  const [busy, setBusy] = useState(false);
  useReloads(state === 'preparing' || state === 'undoing');
  const visit = { preserveScroll: true, onStart: () => setBusy(true), onFinish: () => setBusy(false) };
  return (
    <KeepShell title={told}>
      <div className="head">
        <div>
          <div className="title">
            <h1>{told}</h1>
          </div>
          <p className="doors">
            <Link href={to('keep.people.list')}>People</Link> · {many(of)} chosen · asked for {made}
            {actor !== null && ` by ${actor}`}
          </p>
        </div>
      </div>
      <main className="plainpage actpage">
        <section className="progress" aria-label="How it stands" role="status">
          {state === 'preparing' && (
            <>
              <h2>Looking what it would do</h2>
              <progress max={of} value={looked} aria-label="People looked at" />
              <p>
                {looked.toLocaleString('en')} of {many(of)}. Nothing is done yet. You can leave this page: it goes on by itself, and is under People when you come back.
              </p>
            </>
          )}
          {state === 'prepared' && <h2>{touched === 0 ? 'It would change nothing for them' : `Nothing is done yet. It would do something to ${many(touched)}.`}</h2>}
          {state === 'done' && undone === null && <h2>Done for {many(touched)}</h2>}
          {state === 'done' && undone !== null && <h2>Taken back {undone}, for {many(touched)}</h2>}
          {state === 'undoing' && (
            <>
              <h2>Taking it back</h2>
              <progress aria-label="Taking it back" />
              <p>For {many(touched)}, all at once or not at all. You can leave this page: it goes on by itself.</p>
            </>
          )}
          {state === 'refused' && <h2>This cannot be done</h2>}
          {problem !== null && <p className="takes">{problem}</p>}
          {stale && <p className="takes">It was looked at more than a quarter of an hour ago, and may be otherwise by now. Choose the people again to look anew.</p>}
        </section>
        {outcomes.length > 0 && state !== 'undoing' && undone === null && (
          <section className="outcomes" aria-label={state === 'done' ? 'What it did' : 'What it would do'}>
            <OutcomeList outcomes={outcomes} />
          </section>
        )}
        <div className="review-acts">
          {(state === 'preparing' || state === 'prepared' || state === 'refused') && (
            <Button type="button" variant="default" disabled={busy} onClick={() => router.delete(to('keep.act', { act: id }), visit)}>
              Leave it
            </Button>
          )}
          {state === 'prepared' && touched > 0 && (
            <Button type="button" loading={busy} disabled={stale} onClick={() => router.post(to('keep.act', { act: id }), {}, visit)}>
              {told}: {many(touched)}
            </Button>
          )}
          {canBeUndone && (
            <Button type="button" variant="default" loading={busy} onClick={() => router.post(to('keep.people.undo', { act: id }), {}, visit)}>
              Take it back
            </Button>
          )}
          {state === 'done' && (
            <Button component={Link} href={to('keep.people.list')} variant="default">
              To the people
            </Button>
          )}
        </div>
      </main>
    </KeepShell>
  );
}

import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { useReloads } from '../../lib/useReloads';
import type { ActPage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { OutcomeList } from '../../people/OutcomeList';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import css from '../../people/people.module.css';
import ui from '../../ui/ui.module.css';

const many = (count: number) => say('keep.people_counted', { count });

/** An act on many people: looked at by the queue first, then done in one go, and taken back in one. */
export default function Act(page: ActPage) {
  const { id, told, state, looked, of, touched, outcomes, canBeUndone, problem, actor, made, undone, stale } = page;
  const [busy, setBusy] = useState(false);
  useReloads(state === 'preparing' || state === 'undoing');
  const visit = { preserveScroll: true, onStart: () => setBusy(true), onFinish: () => setBusy(false) };
  return (
    <KeepShell title={told}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{told}</h1>
          </div>
          <p className={ui.doors}>
            {saying(actor === null ? 'people.act.asked' : 'people.act.asked_by', {
              people: (
                <Link key="people" href={to('keep.people.list')}>
                  {say('keep.people')}
                </Link>
              ),
              of: many(of),
              made,
              actor,
            })}
          </p>
        </div>
      </PageHead>
      <main className={clsx(ui.plainpage, css.actpage)}>
        <section className={clsx(ui.progress, css.progress)} aria-label={say('people.act.how_it_stands')} role="status">
          {state === 'preparing' && (
            <>
              <h2>{say('people.act.looking_what_would_do')}</h2>
              <progress max={of} value={looked} aria-label={say('people.act.people_looked_at')} />
              <p>
                {say('people.act.looked', { looked, of: many(of) })}
              </p>
            </>
          )}
          {state === 'prepared' && <h2>{touched === 0 ? say('people.act.would_change_nothing_for') : say('people.act.would_do', { people: many(touched) })}</h2>}
          {state === 'done' && undone === null && <h2>{say('people.act.done_for', { people: many(touched) })}</h2>}
          {state === 'done' && undone !== null && <h2>{say('people.act.taken_back', { when: undone, people: many(touched) })}</h2>}
          {state === 'undoing' && (
            <>
              <h2>{say('people.act.taking_it_back')}</h2>
              <progress aria-label={say('people.act.taking_it_back')} />
              <p>{say('people.act.at_once', { people: many(touched) })}</p>
            </>
          )}
          {state === 'refused' && <h2>{say('people.act.this_cannot_be_done')}</h2>}
          {problem !== null && <p className={ui.takes}>{problem}</p>}
          {stale && <p className={ui.takes}>{say('people.act.was_looked_at_more')}</p>}
        </section>
        {outcomes.length > 0 && state !== 'undoing' && undone === null && (
          <section className={clsx(ui.outcomes, css.outcomes)} aria-label={state === 'done' ? say('people.act.what_it_did') : say('people.act.what_it_would_do')}>
            <OutcomeList outcomes={outcomes} />
          </section>
        )}
        <div className={clsx(ui['review-acts'], css['review-acts'])}>
          {(state === 'preparing' || state === 'prepared' || state === 'refused') && (
            <Button type="button" variant="default" disabled={busy} onClick={() => router.delete(to('keep.act', { act: id }), visit)}>
              {say('keep.leave_it')}
            </Button>
          )}
          {state === 'prepared' && touched > 0 && (
            <Button type="button" loading={busy} disabled={stale} onClick={() => router.post(to('keep.act', { act: id }), {}, visit)}>
              {told}: {many(touched)}
            </Button>
          )}
          {canBeUndone && (
            <Button type="button" variant="default" loading={busy} onClick={() => router.post(to('keep.people.undo', { act: id }), {}, visit)}>
              {say('keep.take_it_back')}
            </Button>
          )}
          {state === 'done' && (
            <Button component={Link} href={to('keep.people.list')} variant="default">
              {say('people.act.to_the_people')}
            </Button>
          )}
        </div>
      </main>
    </KeepShell>
  );
}

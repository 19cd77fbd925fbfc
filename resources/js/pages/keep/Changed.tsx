import { Link, router } from '@inertiajs/react';
import { Button, Select } from '@mantine/core';
import { clsx } from 'clsx';
import { type FormEvent, Fragment, useEffect, useState } from 'react';

import { withQuery } from '../../lib/address';
import type { ChangedCause, ChangedCount, ChangedPage, ForetoldRow, ForetoldTold } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { useShared } from '../../lib/page';
import { to } from '../../lib/route';
import { isoOf } from '../../lib/time';
import { useReloads } from '../../lib/useReloads';
import { plainText } from '../../lib/words';
import { TAKES } from '../../publishing/takes';
import css from '../../publishing/publishing.module.css';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { WallInput } from '../../ui/WallInput';
import { Words } from '../../ui/Words';
import ui from '../../ui/ui.module.css';

/** What became otherwise at a course between two instants, for whom and by what. */
export default function Changed(page: ChangedPage) {
  const { course, title, wrong, revision, whole, counting, looked, of, among, touched, totals, causes, observers, kinds, foretold, fromWords, untilWords } = page;
  useReloads(counting || foretold?.counting === true);
  useEffect(() => {
    // So that it can be linked to, and is counted once: now is another instant with each look.
    if (window.location.search === '') {
      window.history.replaceState(window.history.state, '', withQuery(to('keep.changed', { course }), { from: page.from, until: page.until }));
    }
  }, [course, page.from, page.until]);
  return (
    <KeepShell title={say('changed.of', { title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('changed.title')}</h1>
            {counting && <span className={ui.soft}>{say('changed.counting', { looked, of })}</span>}
          </div>
          <p className={ui.doors}>
            <Link href={to('keep.course', { course })}>{title}</Link> · {revision === null ? say('changed.between', { from: fromWords, until: untilWords }) : say('changed.by_revision', { number: revision, until: untilWords })}
          </p>
        </div>
      </PageHead>
      <main className={clsx(ui.plainpage, css.changed)}>
        <Asked key={`${page.from} ${page.until}`} page={page} />
        {wrong === null && (
          <>
            <p className={ui.soft}>{say('changed.told')}</p>
            {whole !== null && <p className={ui.soft}>{say('changed.whole', { when: whole })}</p>}
            <p className={css.intotal}>
              <b>{say('changed.touched', { touched, looked: among })}</b>
            </p>
            <ul className={css.totals}>
              {totals.map((count) => (
                <Counted key={count.effect} count={count} page={page} />
              ))}
            </ul>
            {foretold !== null && <Foretold foretold={foretold} page={page} />}
            {revision !== null && foretold === null && <p className={ui.soft}>{say('changed.foretold.none')}</p>}
            {causes.length > 0 && (
              <section aria-label={say('changed.by')}>
                <h2>{say('changed.by')}</h2>
                <p className={ui.soft}>{say('changed.adds_up')}</p>
                <Causes causes={causes} page={page} />
              </section>
            )}
            {observers !== null && (
              <section aria-label={say('changed.observers')}>
                <h2>{say('changed.observers')}</h2>
                <p className={ui.soft}>{say('changed.observers_told')}</p>
                <p className={css.intotal}>
                  <b>{say('changed.observers_touched', { touched: observers.touched, looked: observers.looked })}</b>
                </p>
                <ul className={css.totals}>
                  {observers.totals.map((count) => (
                    <Counted key={count.effect} count={count} page={page} />
                  ))}
                </ul>
                <Causes causes={observers.causes} page={page} />
              </section>
            )}
            {kinds.length > 0 && (
              <section aria-label={say('changed.kinds')}>
                <h2>{say('changed.kinds')}</h2>
                <ul className={css.touched}>
                  {kinds.map(({ who, lines }) => (
                    <li key={who}>
                      <b>{who}</b>
                      <ul>
                        {lines.map((line) => (
                          <li key={plainText(line)}>
                            <Words segments={line.segments} />
                          </li>
                        ))}
                      </ul>
                    </li>
                  ))}
                </ul>
              </section>
            )}
          </>
        )}
      </main>
    </KeepShell>
  );
}

function Asked({ page: { course, from, until, wrong, since } }: { page: ChangedPage }) {
  const [asked, setAsked] = useState({ from, until });
  const show = (query: { from: string; until: string }) => router.get(withQuery(to('keep.changed', { course }), query), {}, { preserveScroll: true });
  return (
    <form
      className={css.askedof}
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        show(asked);
      }}
    >
      <WallInput label={say('changed.from')} value={asked.from} error={wrong} onWall={(wall) => setAsked((now) => ({ ...now, from: wall }))} />
      <WallInput label={say('changed.until')} value={asked.until} onWall={(wall) => setAsked((now) => ({ ...now, until: wall }))} />
      <Button type="submit">{say('changed.show')}</Button>
      <Select w={260} label={say('changed.since')} placeholder={say('changed.since_pick')} value={null} data={since.map(({ number, at }) => ({ value: String(number), label: say('changed.since_revision', { number, at }) }))} onChange={(chosen) => show({ from: since.find(({ number }) => String(number) === chosen)?.wall ?? asked.from, until: '' })} />
    </form>
  );
}

function Causes({ causes, page }: { causes: ChangedCause[]; page: ChangedPage }) {
  return (
    <ul className={css.touched}>
      {causes.map(({ key, words, items, counts }) => (
        <li key={key}>
          <div>
            <b>{words}</b> {items > 0 && <span className={ui.soft}>{say('changed.rows', { items })}</span>}
          </div>
          <ul>
            {counts.map((count) => (
              <Counted key={count.effect} count={count} page={page} />
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

function Counted({ count: { effect, words, people, items, some }, page }: { count: ChangedCount; page: ChangedPage }) {
  const knowsPeople = useShared().signedIn?.role !== 'editor';
  const past = (person: number, learner: number | null) => withQuery(to('keep.person.past', { person }), { course: page.course, at: isoOf(page.at), with: learner });
  const told = (
    <>
      <b>{words}</b> {items > 0 && <span className={ui.soft}>{say('changed.rows', { items })}</span>}
    </>
  );
  return (
    <li className={clsx(css.effect, TAKES.has(effect) ? clsx(ui.takes, css.takes) : css.gives)}>
      {some.length === 0 ? (
        told
      ) : (
        <details>
          <summary>{told}</summary>
          <p>
            {some.map(({ id, name, with: learner }, at) => (
              <Fragment key={name + String(id)}>
                {at > 0 && ', '}
                {knowsPeople ? (
                  <Link href={past(id, learner)} title={say('changed.past', { name })}>
                    {name}
                  </Link>
                ) : (
                  name
                )}
              </Fragment>
            ))}
            {say('changed.names', { more: Math.max(0, people - some.length) })}
          </p>
        </details>
      )}
    </li>
  );
}

function Foretold({ foretold: { made, for: of, counting, rows, why, observerRows, observerWhy }, page }: { foretold: ForetoldTold; page: ChangedPage }) {
  return (
    <section aria-label={say('changed.foretold.title')}>
      <h2>{say('changed.foretold.title')}</h2>
      <p className={ui.soft}>{say('changed.foretold.told', { made, for: of })}</p>
      {rows.length > 0 && <Beside rows={rows} />}
      {why.length > 0 && (
        <>
          <h3>{say('changed.foretold.why')}</h3>
          <Causes causes={why} page={page} />
        </>
      )}
      {observerRows.length > 0 && (
        <>
          <h3>{say('changed.foretold.observers')}</h3>
          <Beside rows={observerRows} />
          {observerWhy.length > 0 && <h3>{say('changed.foretold.why')}</h3>}
          {observerWhy.length > 0 && <Causes causes={observerWhy} page={page} />}
        </>
      )}
      {!counting && why.length === 0 && observerWhy.length === 0 && <p className={ui.soft}>{say('changed.foretold.same')}</p>}
    </section>
  );
}

function Beside({ rows }: { rows: ForetoldRow[] }) {
  return (
    <table className={clsx(ui.list, css.foretold)}>
      <thead>
        <tr>
          <th scope="col">{say('changed.foretold.effect')}</th>
          <th scope="col" className={ui.num}>
            {say('changed.foretold.foretold')}
          </th>
          <th scope="col" className={ui.num}>
            {say('changed.foretold.came')}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.effect}>
            <th scope="row">{row.words}</th>
            <td className={ui.num}>{row.foretold}</td>
            <td className={ui.num}>{row.came}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';
import { Fragment } from 'react';

import { withQuery } from '../../lib/address';
import type { EffectCount, KindRow, RehearsalPage, RehearsalRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { PublishBlock } from '../../publishing/PublishBlock';
import { Touched } from '../../publishing/Touched';
import { Progress } from '../../publishing/RehearsalProgress';
import { TAKES } from '../../publishing/takes';
import css from '../../publishing/publishing.module.css';
import ui from '../../ui/ui.module.css';

export default function Rehearsal(page: RehearsalPage) {
  const { course, back, finished, people, observers, setFor, atWords, madeAtWords, kept, untilWords, totals, rows, observerTotals, observerRows, kinds } = page;
  const address = (more: Record<string, string | number | null>) => withQuery(to('keep.rehearsal', { course: course.key }), { back, ...more });
  return (
    <KeepShell title={say('publishing.rehearsal.title', { course: course.title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{back === null ? say('publishing.rehearsal.heading') : say('publishing.rehearsal.heading_back', { number: back })}</h1>
          </div>
          <p className={ui.doors}>
            <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
            {finished && say('publishing.rehearsal.looked_at', { people, observers, at: setFor === null ? say('publishing.rehearsal.now') : atWords, until: untilWords })}
            {finished &&
              kept &&
              saying('publishing.rehearsal.kept', {
                at: madeAtWords,
                anew: (
                  <Link key="anew" href={address({ for: setFor, anew: 1 })}>
                    {say('publishing.rehearsal.anew')}
                  </Link>
                ),
              })}
          </p>
        </div>
      </PageHead>
      <main className={clsx(css.rehearsal, ui.review)}>
        <div className={css['rehearsal-main']}>
          {course.findings.length > 0 && (
            <ul className={ui.findings} aria-label={say('publishing.rehearsal.findings')}>
              {course.findings.map((finding) => (
                <li key={plainText(finding)}>
                  <Words segments={finding.segments} />
                </li>
              ))}
            </ul>
          )}
          {finished ? (
            <>
              <section aria-label={say('publishing.rehearsal.in_all')}>
                <h2>{say(totals.length > 0 ? 'publishing.rehearsal.holders' : observerTotals.length > 0 ? 'publishing.rehearsal.observers_alone' : 'publishing.rehearsal.nobody')}</h2>
                {totals.length > 0 && <Totals page={page} totals={totals} observers={false} />}
              </section>
              {rows.length > 0 && <Items title={say('publishing.rehearsal.items')} page={page} rows={rows} observers={false} />}
              {observerTotals.length > 0 && (
                <section aria-label={say('publishing.rehearsal.observers')}>
                  <h2>{say('publishing.rehearsal.of_observers')}</h2>
                  <Totals page={page} totals={observerTotals} observers />
                </section>
              )}
              {observerRows.length > 0 && <Items title={say('publishing.rehearsal.observers_items')} page={page} rows={observerRows} observers />}
              {kinds.length > 0 && <Kinds kinds={kinds} />}
            </>
          ) : (
            <Progress course={course.key} back={back} setFor={setFor} looked={page.looked} of={page.of} totals={totals} />
          )}
        </div>
        <PublishBlock key={`${course.draftVersion} ${back ?? ''}`} page={page} />
      </main>
    </KeepShell>
  );
}

function Totals({ page, totals, observers }: { page: RehearsalPage; totals: EffectCount[]; observers: boolean }) {
  return (
    <ul className={css.totals}>
      {totals.map((total) => (
        <li key={total.effect} className={TAKES.has(total.effect) ? clsx(ui.takes, css.takes) : css.gives}>
          <b>{say('publishing.effect', { count: total.count })}</b> {total.words} <Touched page={page} effect={total} row={null} observers={observers} />
        </li>
      ))}
    </ul>
  );
}

function Items({ title, page, rows, observers }: { title: string; page: RehearsalPage; rows: RehearsalRow[]; observers: boolean }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <ul className={css.touched}>
        {rows.map((row) => (
          <li key={row.item}>
            <b>{row.title}</b>
            <ul>
              {row.effects.map((effect) => (
                <li key={effect.effect} className={clsx(css.effect, TAKES.has(effect.effect) ? clsx(ui.takes, css.takes) : css.gives)}>
                  <Named effect={effect} />
                  <Touched page={page} effect={effect} row={row} observers={observers} />
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Named({ effect }: { effect: EffectCount }) {
  return (
    <details>
      <summary>
        <b>{say('publishing.effect', { count: effect.count })}</b> {effect.words}
      </summary>
      <p>
        {effect.names.map((name, at) => (
          <Fragment key={`${effect.people[at]} ${name}`}>
            {at > 0 && ', '}
            <Link href={to('keep.person', { person: effect.people[at] ?? 0 })}>{name}</Link>
          </Fragment>
        ))}
        {say('publishing.rehearsal.names', { more: Math.max(0, effect.count - effect.names.length) })}
      </p>
    </details>
  );
}

function Kinds({ kinds }: { kinds: KindRow[] }) {
  return (
    <section aria-label={say('publishing.rehearsal.kinds')}>
      <h2>{say('publishing.rehearsal.newcomers')}</h2>
      <ul className={css.touched}>
        {kinds.map((kind) => (
          <li key={kind.who}>
            <b>{kind.who}</b>
            <ul>
              {kind.lines.map((line) => (
                <li key={plainText(line)}>
                  <Words segments={line.segments} />
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

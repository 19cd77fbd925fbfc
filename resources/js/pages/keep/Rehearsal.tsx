import { Link } from '@inertiajs/react';

import { withQuery } from '../../lib/address';
import type { EffectCount, KindRow, RehearsalPage, RehearsalRow } from '../../lib/generated/types';
import { counted, plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { PublishBlock } from '../../publishing/PublishBlock';
import { Progress } from '../../publishing/RehearsalProgress';

const TAKES = new Set(['lose', 'pause', 'lose_work', 'shorter', 'never', 'later']);

export default function Rehearsal(page: RehearsalPage) {
  const { course, back, finished, people, observers, setFor, atWords, madeAtWords, kept, untilWords, totals, rows, observerTotals, observerRows, kinds } = page;
  const address = (more: Record<string, string | number | null>) => withQuery(to('keep.rehearsal', { course: course.key }), { back, ...more });
  return (
    <KeepShell title={`Rehearsal of ${course.title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>{back === null ? 'Rehearsal' : `Rehearsal: back to revision ${back}`}</h1>
          </div>
          <p className="doors">
            <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
            {finished &&
              ` · looked at ${counted(people, 'person', 'people')} who hold something of it${observers === 0 ? '' : ` and ${counted(observers, 'observer')}`}, as if published ${setFor === null ? 'now' : atWords}, ahead to ${untilWords}`}
            {finished && kept && (
              <>
                {' '}
                · reckoned {madeAtWords},{' '}
                <Link href={address({ for: setFor, anew: 1 })}>rehearse anew</Link>
              </>
            )}
          </p>
        </div>
      </div>
      <main className="rehearsal review">
        <div className="rehearsal-main">
          {course.findings.length > 0 && (
            <ul className="findings" aria-label="Findings">
              {course.findings.map((finding) => (
                <li key={plainText(finding)}>
                  <Words segments={finding.segments} />
                </li>
              ))}
            </ul>
          )}
          {finished ? (
            <>
              <section aria-label="In all">
                <h2>{totals.length === 0 ? observerTotals.length === 0 ? 'Nobody who holds something of this course is touched.' : 'Nobody who holds something of this course is touched, but observers are.' : 'Of those who hold something of it'}</h2>
                {totals.length > 0 && <Totals totals={totals} />}
              </section>
              {rows.length > 0 && <Items title="Item by item" rows={rows} />}
              {observerTotals.length > 0 && (
                <section aria-label="Observers">
                  <h2>Of their observers, each with one learner</h2>
                  <Totals totals={observerTotals} />
                </section>
              )}
              {observerRows.length > 0 && <Items title="What observers see, item by item" rows={observerRows} />}
              {kinds.length > 0 && <Kinds kinds={kinds} />}
            </>
          ) : (
            <Progress course={course.key} back={back} setFor={setFor} looked={page.looked} of={page.of} />
          )}
        </div>
        <PublishBlock key={`${course.draftVersion} ${back ?? ''}`} page={page} />
      </main>
    </KeepShell>
  );
}

function Totals({ totals }: { totals: EffectCount[] }) {
  return (
    <ul className="totals">
      {totals.map((total) => (
        <li key={total.effect} className={TAKES.has(total.effect) ? 'takes' : 'gives'}>
          <b>{total.count}</b> {total.words}
        </li>
      ))}
    </ul>
  );
}

function Items({ title, rows }: { title: string; rows: RehearsalRow[] }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <ul className="touched">
        {rows.map((row) => (
          <li key={row.title}>
            <b>{row.title}</b>
            <ul>
              {row.effects.map((effect) => (
                <li key={effect.effect} className={TAKES.has(effect.effect) ? 'takes' : 'gives'}>
                  <Named effect={effect} />
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
  const more = effect.count - effect.names.length;
  return (
    <details>
      <summary>
        <b>{effect.count}</b> {effect.words}
      </summary>
      <p>
        {effect.names.join(', ')}
        {more > 0 ? ` and ${more} more` : ''}
      </p>
    </details>
  );
}

function Kinds({ kinds }: { kinds: KindRow[] }) {
  return (
    <section aria-label="Kinds of viewers">
      <h2>Those who come anew</h2>
      <ul className="touched">
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

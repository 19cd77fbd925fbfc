import { Link, router } from '@inertiajs/react';
import { clsx } from 'clsx';
import { useEffect, useRef, useState } from 'react';

import { withQuery } from '../../lib/address';
import type { AgendaEntry, FirstStep, TodayLine, TodayPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useReloads } from '../../lib/useReloads';
import { useShared } from '../../lib/page';
import { plainText } from '../../lib/words';
import { Answered } from '../../people/Answered';
import { type Question, WhyQuestion } from '../../checks/WhyQuestion';
import { Arch } from '../../ui/Arch';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { Pager } from '../../ui/Pager';
import { Words } from '../../ui/Words';
import css from '../../checks/checks.module.css';
import ui from '../../ui/ui.module.css';

function weekOf(monday: string): string {
  return withQuery(to('keep.today'), { week: monday });
}

export default function Today(page: TodayPage) {
  const { heading, week, next, days, courses, counting, previous, following, isThisWeek, ending, findings, found, changed, first, running, ofAll } = page;
  const { signedIn } = useShared();
  const [question, setQuestion] = useState<Question | null>(null);
  useReloads(counting);
  return (
    <KeepShell title={say('keep.keep_shell.today')}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{heading}</h1>
            <span className={ui.soft}>{week}</span>
          </div>
          <p className={ui.doors}>{next === null ? say('today.nothing_next') : <Words segments={next.segments} titles="b" />}</p>
        </div>
        {ofAll && <WhyQuestion onAsk={setQuestion} />}
      </PageHead>
      <main className={css.today}>
        {question !== null && <Answer key={`${question.person} ${question.course} ${question.item}`} question={question} mayRun={signedIn?.runs === true} onClose={() => setQuestion(null)} />}
        {first.length > 0 && <First steps={first} />}
        <div className={clsx(css.weekscroll, courses.length === 0 && ui.vh)}>
          <table className={css.week}>
            <caption className={ui.vh}>{say('today.the_week')}</caption>
            <thead>
              <tr>
                <th scope="col">
                  {isThisWeek ? <b>{say('today.this_week')}</b> : <Link href={to('keep.today')}>{say('today.this_week')}</Link>} · <Link href={weekOf(previous)}>{say('today.previous')}</Link> · <Link href={weekOf(following)}>{say('today.following')}</Link>
                </th>
                {days.map((day) => (
                  <th key={day.date} scope="col" className={clsx(day.today && css.now, day.past && css.past)}>
                    <time dateTime={day.date}>{day.words}</time>
                    {day.today && <span> {say('today.now')}</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {courses.map((course) => (
                <tr key={course.key}>
                  <th scope="row">
                    <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
                    <span>{course.note}</span>
                  </th>
                  {course.days.map((entries, index) => (
                    <td key={days[index]?.date} className={clsx(days[index]?.today === true && css.now)}>
                      {entries.map((entry) => (
                        <Entry key={`${entry.kind} ${entry.title}`} entry={entry} />
                      ))}
                      {(course.more[index] ?? 0) > 0 && (
                        <Link className={ui.soft} href={withQuery(to('keep.course', { course: course.key }), { lens: 'timeline' })}>
                          {say('today.more', { count: course.more[index] ?? 0 })}
                        </Link>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {page.pages > 1 && <Pager page={page.page} pages={page.pages} address={(at) => withQuery(isThisWeek ? to('keep.today') : weekOf(days[0]?.date ?? ''), { page: at })} />}
        {courses.length === 0 && first.length === 0 && (
          <div className={ui.empty}>
            <p>
              {say('today.no_passes')} <Link href={to('keep.courses')}>{say('keep.keep_shell.courses')}</Link>
            </p>
          </div>
        )}
        {counting && (
          <p className={css.counting} role="status">
            {say('today.counting')}
          </p>
        )}
        <div className={css.three}>
          {ofAll && <Lines heading={say('today.ending')} note={say('today.ending_note')} lines={ending} empty={say('today.none_ending')} />}
          <Lines heading={say('today.findings')} note={say('found.count', { count: found })} lines={findings} empty={say('today.none_found')} />
          <Lines heading={say('today.changed')} note={say('today.changed_note')} lines={changed} empty={say('today.none_changed')} />
        </div>
        {running.length > 0 && <p className={css.running}>{running.join(' ')}</p>}
      </main>
    </KeepShell>
  );
}

function Answer({ question, mayRun, onClose }: { question: Question; mayRun: boolean; onClose: () => void }) {
  const section = useRef<HTMLElement>(null);
  // It is read from its beginning, by keyboard too.
  useEffect(() => section.current?.focus(), []);
  return (
    <section ref={section} tabIndex={-1} className={css.answer} aria-label={say('today.answer')}>
      <button type="button" className={ui.linklike} onClick={onClose}>
        {say('keep.close')}
      </button>
      <Answered {...question} mayRun={mayRun} />
    </section>
  );
}

/** How a school begins, and how far it has come. */
function First({ steps }: { steps: FirstStep[] }) {
  const next = steps.find(({ done, href }) => !done && href !== null);
  return (
    <section className={css.first} aria-label={say('today.first')}>
      <h2>
        {say('today.first')} <span>{say('today.first_note', { done: steps.filter(({ done }) => done).length, of: steps.length - 1 })}</span>
      </h2>
      <ol>
        {steps.map((step) => (
          <li key={step.key} className={clsx(step.done && css.past)} aria-current={step === next ? 'step' : undefined}>
            <Arch glyph={step.done ? 'open' : step === next ? 'later' : 'locked'} size={15} silent />
            <div>
              <p>
                <b>{step.title}</b>
                {step.done && <span className={ui.soft}> {say('today.first_done')}</span>}
              </p>
              {!step.done && <p className={ui.soft}>{step.told}</p>}
            </div>
            {step.href !== null && <Link href={step.href}>{step.go}</Link>}
          </li>
        ))}
      </ol>
    </section>
  );
}

function Entry({ entry }: { entry: AgendaEntry }) {
  return (
    <p className={clsx(css.entry, entry.past && css.past)}>
      <Arch glyph={entry.glyph} size={15} silent />
      <span>
        {entry.href === null ? entry.title : <Link href={entry.href}>{entry.title}</Link>}
        <span>
          {entry.time} · {say('today.people', { count: entry.people })}
        </span>
      </span>
    </p>
  );
}

function Lines({ heading, note, lines, empty }: { heading: string; note: string; lines: TodayLine[]; empty: string }) {
  return (
    <section aria-label={heading}>
      <h2>
        {heading} <span>{note}</span>
      </h2>
      {lines.length === 0 && <p className={ui.soft}>{empty}</p>}
      <ul>
        {lines.map((line) => (
          <li key={`${plainText(line.what)} ${line.below}`}>
            <div>
              <p>
                <Words segments={line.what.segments} titles="b" />
              </p>
              <p className={line.soon ? css.soon : ui.soft}>{line.at === null ? line.below : <time dateTime={line.at}>{line.below}</time>}</p>
            </div>
            {line.undoes !== null ? (
              <button type="button" className={ui.linklike} onClick={() => line.undoes !== null && router.post(to('keep.people.undo', { act: line.undoes }), {}, { preserveScroll: true })}>
                {line.go}
              </button>
            ) : (
              line.href !== null && <Link href={line.href}>{line.go}</Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

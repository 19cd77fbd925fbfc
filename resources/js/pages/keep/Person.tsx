import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { FoundPerson, HeldPass, PersonPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { ActDialog } from '../../people/ActDialog';
import type { Act } from '../../people/acts';
import { at } from '../../people/byAct';
import { PassLine } from '../../people/PassLine';
import { WhyNot } from '../../people/WhyNot';
import { KeepShell } from '../../ui/KeepShell';
import { useHelps } from '../../lib/page';
import { to } from '../../lib/route';
import { LetterChoices } from '../../ui/LetterChoices';
import { TieDialog } from '../../people/TieDialog';
import css from '../../people/people.module.css';
import ui from '../../ui/ui.module.css';

export default function Person(page: PersonPage) {
  const { id, name, email, role, seen, passes, grants, labels, observers, observes, progress, quizzes, history, courses, offers, letters, erased } = page;
  // Who was erased is a number: nothing is done for it any more.
  const mayRun = page.mayRun && !erased;
  const helps = useHelps() && !erased;
  // Whoever comes from a list of passes that end goes on with how long.
  const [act, setAct] = useState<{ act: Act; title: string } | null>(() => {
    const offer = new URLSearchParams(window.location.search).get('extend');
    return offer !== null && passes.some((pass) => pass.offer === offer) ? { act: { do: 'extend', ...passOf(passes, offer) }, title: say('person.asks.extend') } : null;
  });
  const [tying, setTying] = useState<'observer' | 'learner' | null>(null);
  const ask = (title: string, what: Act) => setAct({ title, act: what });
  const theirs = [...new Set(passes.map(({ course }) => course))];
  return (
    <KeepShell title={name}>
      <main className={clsx(ui.plainpage, css.person)}>
        <div className={clsx(ui.pagehead, css.pagehead)}>
          <div>
            <h1>{name}</h1>
            <p className={ui.soft}>
              <a href={`mailto:${email}`}>{email}</a>
              {role !== null && ` · ${role}`} · {say('person.person.last_here', { when: seen ?? say('person.person.never') })}
            </p>
          </div>
          <div className={css.headacts}>
            <Button component={Link} variant="default" href={to('keep.person.past', { person: id })}>
              {say('person.person.their_past')}
            </Button>
            {page.mayRun && (
              <Button component={Link} variant="default" href={to('keep.person.data', { person: id })}>
                {say('privacy.data.link')}
              </Button>
            )}
            {mayRun && (
              <Button variant="default" onClick={() => ask(say('person.asks.write_to_them'), { do: 'write' })}>
                {say('person.person.write_to_them')}
              </Button>
            )}
          </div>
        </div>
        {erased && <p className={ui.takes}>{say('privacy.erased.banner')}</p>}
        <div className={css.personcols}>
          <div>
            <section>
              <div className={ui.secthead}>
                <h2>{say('person.person.passes')}</h2>
                {mayRun && offers.length > 0 && (
                  <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => ask(say('person.asks.give_pass'), { do: 'give' })}>
                    {say('person.person.give_a_pass')}
                  </button>
                )}
              </div>
              {passes.length === 0 && <p className={ui.soft}>{say('person.person.they_hold_no_pass')}</p>}
              <ul className={css.held}>
                {passes.map((pass) => (
                  <PassLine key={pass.id} pass={pass} person={id} mayRun={mayRun} helps={helps} onAsk={ask} />
                ))}
              </ul>
            </section>
            <section>
              <div className={ui.secthead}>
                <h2>{say('person.person.handed_out')}</h2>
                {helps && (
                  <>
                    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => ask(say('person.asks.hand_out'), { do: 'grant', ...(theirs[0] === undefined ? {} : { course: theirs[0] }) })}>
                      {say('person.person.hand_something_out')}
                    </button>
                    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => ask(say('people.people.mark_something'), { do: 'finish', ...(theirs[0] === undefined ? {} : { course: theirs[0] }) })}>
                      {say('person.person.mark_something')}
                    </button>
                  </>
                )}
              </div>
              {grants.length === 0 && <p className={ui.soft}>{say('person.person.nothing_was_handed_them')}</p>}
              <ul className={css.held}>
                {grants.map((grant) => (
                  <li key={grant.id} className={clsx(!(grant.active) && ui.soft)}>
                    <b>{grant.title}</b>
                    <span>
                      {grant.course}, {grant.from} {grant.until === null ? say('person.person.for_good') : say('person.person.to_until', { until: grant.until })}
                    </span>
                    {grant.active && helps && (
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => at(id, { do: 'take-back', grant: grant.id })}>
                        {say('keep.take_it_back')}
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            </section>
            <section>
              <div className={ui.secthead}>
                <h2>{say('keep.labels')}</h2>
                {mayRun && (
                  <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => ask(say('person.asks.give_label'), { do: 'label' })}>
                    {say('person.person.give_a_label')}
                  </button>
                )}
              </div>
              {labels.length === 0 && <p className={ui.soft}>{say('person.person.they_have_no_label')}</p>}
              <ul className={css.held}>
                {labels.map(({ label, source, byPass, until }) => (
                  <li key={`${label} ${source}`}>
                    <b>{label}</b>
                    <span>
                      {byPass ? say('person.person.by_pass_source_while', { source }) : source}
                      {until === null ? '' : say('person.person.label_to', { until })}
                    </span>
                    {mayRun && !byPass && (
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => at(id, { do: 'unlabel', label })}>
                        {say('person.person.take_it_away')}
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            </section>
            <section>
              <div className={ui.secthead}>
                <h2>{say('keep.observers')}</h2>
                {mayRun && (
                  <span>
                    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setTying('observer')}>
                      {say('person.person.let_somebody_observe_them')}
                    </button>{' '}
                    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setTying('learner')}>
                      {say('person.person.let_them_observe_somebody')}
                    </button>
                  </span>
                )}
              </div>
              {observers.length === 0 && observes.length === 0 && <p className={ui.soft}>{say('person.person.nobody_looks_in_on')}</p>}
              <ul className={css.held}>
                {observers.map((one) => (
                  <Tie key={one.id} one={one} words={say('person.person.looks_in_on_them')} mayRun={mayRun} onUntie={() => at(id, { do: 'unobserve', observer: one.id })} />
                ))}
                {observes.map((one) => (
                  <Tie key={one.id} one={one} words={say('person.person.looked_in_on_by')} mayRun={mayRun} onUntie={() => router.post(to('keep.people.act'), { people: [one.id], do: 'unobserve', observer: id }, { preserveScroll: true, preserveState: true })} />
                ))}
              </ul>
            </section>
          </div>
          <div>
            <WhyNot person={id} name={name} courses={courses} theirs={theirs} mayRun={mayRun} observes={observes} onExtend={(offer) => ask(say('person.asks.extend'), { do: 'extend', ...passOf(passes, offer) })} />
            <section>
              <h2>{say('person.person.progress_heading')}</h2>
              {progress.length === 0 && <p className={ui.soft}>{say('person.person.nothing_is_finished')}</p>}
              <ul className={css.held}>
                {progress.map((one) => (
                  <li key={one.course}>
                    <b>{one.title}</b>
                    <span>
                      {one.last === null ? say('person.person.progress', one) : say('person.person.progress_last', { ...one, when: one.last })}
                    </span>
                    {one.begun.map((line) => (
                      <span key={line}>{line}</span>
                    ))}
                    <Link href={withQuery(to('keep.course', { course: one.course }), { lens: 'sightlines', v: [`person:${id}`] })}>{say('person.person.see_as_they_do')}</Link>
                  </li>
                ))}
              </ul>
            </section>
            {quizzes.length > 0 && (
              <section>
                <h2>{say('person.person.quizzes')}</h2>
                <ul className={css.held}>
                  {quizzes.map((quiz) => (
                    <li key={`${quiz.course} ${quiz.item}`}>
                      <b>{quiz.title}</b>
                      <span>{quiz.words}</span>
                      {quiz.held && helps && (
                        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => at(id, { do: 'try', course: quiz.course, item: quiz.item })}>
                          {say('person.person.one_more_try')}
                        </button>
                      )}
                    </li>
                  ))}
                </ul>
              </section>
            )}
            {helps && (
              <section>
                <h2>{say('person.person.letters')}</h2>
                <p className={ui.soft}>{say('person.person.letters_told')}</p>
                <LetterChoices letters={letters} address={to('keep.person.letters', { person: id })} />
              </section>
            )}
            <section>
              <h2>{say('person.person.what_happened')}</h2>
              {history.length === 0 && <p className={ui.soft}>{say('person.person.nothing_yet')}</p>}
              <ol className={css.happened}>
                {history.map((line, index) => (
                  <li key={`${history.length - index}`}>
                    <span><time dateTime={line.instant}>{line.when}</time></span> {line.words}
                    {line.by !== null && <span> · {line.by}</span>}
                  </li>
                ))}
              </ol>
            </section>
          </div>
        </div>
        {act !== null && <ActDialog title={act.title} act={act.act} whom={{ people: [id] }} offers={offers} courses={courses} labels={labels.map(({ label }) => label)} onClose={() => setAct(null)} />}
        {tying !== null && <TieDialog person={id} name={name} as={tying} onClose={() => setTying(null)} />}
      </main>
    </KeepShell>
  );
}

/** The pass of an offer that a fix speaks of. */
function passOf(passes: HeldPass[], offer: string): { pass: number } | { offer: string } {
  const pass = passes.find((one) => one.offer === offer);
  return pass === undefined ? { offer } : { pass: pass.id };
}

function Tie({ one, words, mayRun, onUntie }: { one: FoundPerson; words: string; mayRun: boolean; onUntie: () => void }) {
  return (
    <li>
      <b>
        <Link href={to('keep.person', { person: one.id })}>{one.name}</Link>
      </b>
      <span>{words}</span>
      {mayRun && (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onUntie}>
          {say('person.person.untie')}
        </button>
      )}
    </li>
  );
}

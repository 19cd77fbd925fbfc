import { Link, router } from '@inertiajs/react';
import { Button, Menu } from '@mantine/core';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { FoundPerson, HeldPass, PersonPage } from '../../lib/generated/types';
import { ActDialog } from '../../people/ActDialog';
import type { Act } from '../../people/acts';
import { WhyNot } from '../../people/WhyNot';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import { TieDialog } from '../../people/TieDialog';

/** Does something to this person at once; it can be taken back from the note that tells of it. */
function at(person: number, act: Act) {
  router.post(to('keep.people.act'), { people: [person], ...act }, { preserveScroll: true, preserveState: true });
}

export default function Person(page: PersonPage) {
  const { id, name, email, role, seen, passes, grants, labels, observers, observes, progress, history, courses, offers, now, mayRun } = page;
  const [act, setAct] = useState<{ act: Act; title: string } | null>(null);
  const [tying, setTying] = useState<'observer' | 'learner' | null>(null);
  const ask = (title: string, what: Act) => setAct({ title, act: what });
  const theirs = [...new Set(passes.map(({ course }) => course))];
  return (
    <KeepShell title={name}>
      <main className="plainpage person">
        <div className="pagehead">
          <div>
            <h1>{name}</h1>
            <p className="soft">
              <a href={`mailto:${email}`}>{email}</a>
              {role !== null && ` · ${role}`} · last here {seen ?? 'never'}
            </p>
          </div>
          {mayRun && (
            <Button variant="default" onClick={() => ask('Write to them', { do: 'write' })}>
              Write to them
            </Button>
          )}
        </div>
        <div className="personcols">
          <div>
            <section>
              <div className="secthead">
                <h2>Passes</h2>
                {mayRun && offers.length > 0 && (
                  <button type="button" className="linklike" onClick={() => ask('Give a pass', { do: 'give' })}>
                    Give a pass…
                  </button>
                )}
              </div>
              {passes.length === 0 && <p className="soft">They hold no pass.</p>}
              <ul className="held">
                {passes.map((pass) => (
                  <PassLine key={pass.id} pass={pass} person={id} mayRun={mayRun} onAsk={ask} />
                ))}
              </ul>
            </section>
            <section>
              <div className="secthead">
                <h2>Handed out</h2>
                <button type="button" className="linklike" onClick={() => ask('Hand something out', { do: 'grant', ...(theirs[0] === undefined ? {} : { course: theirs[0] }) })}>
                  Hand something out…
                </button>
              </div>
              {grants.length === 0 && <p className="soft">Nothing was handed to them.</p>}
              <ul className="held">
                {grants.map((grant) => (
                  <li key={grant.id} className={grant.active ? '' : 'soft'}>
                    <b>{grant.title}</b>
                    <span>
                      {grant.course}, {grant.from} {grant.until === null ? 'for good' : `to ${grant.until}`}
                    </span>
                    {grant.active && (
                      <button type="button" className="linklike" onClick={() => at(id, { do: 'take-back', grant: grant.id })}>
                        Take it back
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            </section>
            <section>
              <div className="secthead">
                <h2>Labels</h2>
                {mayRun && (
                  <button type="button" className="linklike" onClick={() => ask('Give a label', { do: 'label' })}>
                    Give a label…
                  </button>
                )}
              </div>
              {labels.length === 0 && <p className="soft">They have no label.</p>}
              <ul className="held">
                {labels.map(({ label, source, byPass, until }) => (
                  <li key={`${label} ${source}`}>
                    <b>{label}</b>
                    <span>
                      {byPass ? `by the pass ${source}, while it is active` : source}
                      {until === null ? '' : `, to ${until}`}
                    </span>
                    {mayRun && !byPass && (
                      <button type="button" className="linklike" onClick={() => at(id, { do: 'unlabel', label })}>
                        Take it away
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            </section>
            <section>
              <div className="secthead">
                <h2>Observers</h2>
                {mayRun && (
                  <span>
                    <button type="button" className="linklike" onClick={() => setTying('observer')}>
                      Let somebody observe them…
                    </button>{' '}
                    <button type="button" className="linklike" onClick={() => setTying('learner')}>
                      Let them observe somebody…
                    </button>
                  </span>
                )}
              </div>
              {observers.length === 0 && observes.length === 0 && <p className="soft">Nobody looks in on them, and they on nobody.</p>}
              <ul className="held">
                {observers.map((one) => (
                  <Tie key={one.id} one={one} words="looks in on them" mayRun={mayRun} onUntie={() => at(id, { do: 'unobserve', observer: one.id })} />
                ))}
                {observes.map((one) => (
                  <Tie key={one.id} one={one} words="is looked in on by them" mayRun={mayRun} onUntie={() => router.post(to('keep.people.act'), { people: [one.id], do: 'unobserve', observer: id }, { preserveScroll: true, preserveState: true })} />
                ))}
              </ul>
            </section>
          </div>
          <div>
            <WhyNot person={id} name={name} courses={courses} theirs={theirs} now={now} mayRun={mayRun} observes={observes} onExtend={(offer) => ask('Extend the pass', { do: 'extend', ...passOf(passes, offer) })} />
            <section>
              <h2>Progress</h2>
              {progress.length === 0 && <p className="soft">Nothing is finished.</p>}
              <ul className="held">
                {progress.map((one) => (
                  <li key={one.course}>
                    <b>{one.title}</b>
                    <span>
                      {one.finished} of {one.lessons} lessons{one.last === null ? '' : ` · last ${one.last}`}
                    </span>
                    {one.begun.map((line) => (
                      <span key={line}>{line}</span>
                    ))}
                    <Link href={withQuery(to('keep.course', { course: one.course }), { lens: 'sightlines', v: [`person:${id}`] })}>See it as they do</Link>
                  </li>
                ))}
              </ul>
            </section>
            <section>
              <h2>What happened</h2>
              {history.length === 0 && <p className="soft">Nothing yet.</p>}
              <ol className="happened">
                {history.map((line, index) => (
                  <li key={`${history.length - index}`}>
                    <span>{line.when}</span> {line.words}
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

interface PassLineProps {
  pass: HeldPass;
  person: number;
  mayRun: boolean;
  onAsk: (title: string, act: Act) => void;
}

function PassLine({ pass, person, mayRun, onAsk }: PassLineProps) {
  const ended = pass.standing === 'ended';
  return (
    <li className={`pass-${pass.standing}`}>
      <b>{pass.offerName}</b>
      <span>
        <Link href={to('keep.course', { course: pass.course })}>{pass.courseTitle}</Link> · {pass.from} {pass.until === null ? 'for good' : `to ${pass.until}`}
        <br />
        {pass.standing}
        {pass.left !== null && `, ${pass.left}`} · {pass.source}
        {pass.paced !== null && ` · its days count from ${pass.paced}`}
        {pass.erased !== null && (
          <>
            <br />
            {pass.erased}
          </>
        )}
      </span>
      <Menu width={240} position="bottom-end" withArrow>
        <Menu.Target>
          <button type="button" className="linklike">
            Do… <span className="vh">something with the {pass.offerName} from {pass.from}</span>
          </button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item disabled={pass.until === null || pass.standing === 'withdrawn'} onClick={() => onAsk('Extend the pass', { do: 'extend', pass: pass.id })}>
            Extend…
          </Menu.Item>
          {mayRun && (
            <>
              {pass.standing === 'paused' ? (
                <Menu.Item onClick={() => onAsk('Take it up again', { do: 'resume', pass: pass.id })}>Take it up again…</Menu.Item>
              ) : (
                <Menu.Item disabled={ended || pass.standing === 'withdrawn'} onClick={() => onAsk('Pause the pass', { do: 'pause', pass: pass.id })}>
                  Pause…
                </Menu.Item>
              )}
              <Menu.Item onClick={() => onAsk('Change the pass', { do: 'change', pass: pass.id })}>Change tier or offer…</Menu.Item>
              <Menu.Item disabled={ended} onClick={() => onAsk('End the pass', { do: 'end', pass: pass.id })}>
                End now…
              </Menu.Item>
              {pass.standing === 'withdrawn' ? (
                <Menu.Item onClick={() => at(person, { do: 'give-back', pass: pass.id })}>Give it back</Menu.Item>
              ) : (
                <Menu.Item color="red" onClick={() => onAsk('Withdraw the pass', { do: 'withdraw', pass: pass.id })}>
                  Withdraw…
                </Menu.Item>
              )}
            </>
          )}
        </Menu.Dropdown>
      </Menu>
    </li>
  );
}

function Tie({ one, words, mayRun, onUntie }: { one: FoundPerson; words: string; mayRun: boolean; onUntie: () => void }) {
  return (
    <li>
      <b>
        <Link href={to('keep.person', { person: one.id })}>{one.name}</Link>
      </b>
      <span>{words}</span>
      {mayRun && (
        <button type="button" className="linklike" onClick={onUntie}>
          Untie
        </button>
      )}
    </li>
  );
}

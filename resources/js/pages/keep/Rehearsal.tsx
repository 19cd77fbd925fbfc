import { Link, router, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { type FormEvent, useEffect, useState } from 'react';

import { keepAddress, withQuery } from '../../lib/address';
import { postJson } from '../../lib/http';
import type { CourseHead, EffectCount, Expected, KindRow, RehearsalPage, RehearsalProgress, RehearsalRow } from '../../lib/types';
import { counted, plainText } from '../../lib/words';
import { ExpectedLine } from '../../sheet/WhySheet';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';

const TAKES = new Set(['lose', 'pause', 'lose_work', 'shorter', 'never', 'later']);

export default function Rehearsal(page: RehearsalPage) {
  const { course, back, finished, people, observers, setFor, atWords, madeAtWords, kept, untilWords, totals, rows, observerTotals, observerRows, kinds } = page;
  const address = (more: Record<string, string | number | null>) => withQuery(keepAddress(course.key, '/rehearsal'), { back, ...more });
  return (
    <KeepShell title={`Rehearsal of ${course.title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>{back === null ? 'Rehearsal' : `Rehearsal: back to revision ${back}`}</h1>
          </div>
          <p className="doors">
            <Link href={keepAddress(course.key)}>{course.title}</Link>
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

interface ProgressProps {
  course: string;
  back: number | null;
  setFor: string | null;
  looked: number;
  of: number;
}

/** Milliseconds between two questions of how far it has come. */
const ASKS_EVERY = 700;

/** Has a long rehearsal made and tells how far it has come; it can be left, and is there when the page is opened again. */
function Progress({ course, back, setFor, looked, of }: ProgressProps) {
  const [done, setDone] = useState(looked);
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    let left = false;
    let timer = 0;
    const goOn = async () => {
      const progress = await postJson<RehearsalProgress>(keepAddress(course, '/rehearsal'), { back, for: setFor });
      if (left) {
        return;
      }
      if (progress === null) {
        setStopped(true);
      } else if (progress.finished) {
        router.reload();
      } else {
        setDone(progress.looked);
        timer = window.setTimeout(() => void goOn(), ASKS_EVERY);
      }
    };
    void goOn();
    return () => {
      left = true;
      window.clearTimeout(timer);
    };
  }, [course, back, setFor]);
  return (
    <section aria-label="Progress" className="progress">
      <h2>Looking at everybody who holds something of it</h2>
      <progress max={of} value={done} aria-label="People looked at" />
      <p role="status">
        {stopped ? (
          <>
            It stopped: the server did not answer, or the draft is gone.{' '}
            <button type="button" className="linklike" onClick={() => router.reload()}>
              Go on
            </button>
          </>
        ) : (
          `${done.toLocaleString('en')} of ${of.toLocaleString('en')} people and observers. You can leave this page: it goes on by itself, and is here when you come back.`
        )}
      </p>
    </section>
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

/** What is to stay so, whatever is edited: what would break first. */
function Expectations({ course, expected, mayEdit }: { course: string; expected: Expected[]; mayEdit: boolean }) {
  const broken = expected.filter(({ kept }) => !kept);
  if (expected.length === 0) {
    return null;
  }
  return (
    <section className="expected">
      <h3>{broken.length === 0 ? `All ${counted(expected.length, 'expectation')} kept` : `${broken.length} of ${counted(expected.length, 'expectation')} not kept`}</h3>
      {broken.length > 0 && (
        <ul className="vains">
          {broken.map((one) => (
            <ExpectedLine key={one.id} course={course} expected={one} mayEdit={mayEdit} />
          ))}
        </ul>
      )}
    </section>
  );
}

function PublishBlock({ page }: { page: RehearsalPage }) {
  const { course, back, changes, editors, finished, expected, mayEdit } = page;
  const count = counted(changes.length, 'change');
  const breaks = expected.filter(({ kept, broken }) => !kept && !broken).length;
  return (
    <aside className="publish">
      <h2>{back === null ? `${count} in the draft` : `${count} from what is live`}</h2>
      <ol>
        {changes.map((change) => (
          <li key={plainText(change)}>
            <Words segments={change.segments} />
          </li>
        ))}
      </ol>
      {editors.length > 0 && <p>By {editors.join('; ')}.</p>}
      {back === null && course.goesLive !== null && (
        <p className={course.goesLiveAsIs ? 'set' : 'takes'}>
          {course.goesLiveAsIs ? `Set to go live ${course.goesLive}. ` : `It was set to go live ${course.goesLive}, but has been changed since: as it is, it will not. `}
          {mayEdit && (
            <button
              type="button"
              className="linklike"
              onClick={() => router.delete(keepAddress(course.key, '/publication'), { data: { version: course.draftVersion }, preserveScroll: true, preserveState: true })}
            >
              Take the time back
            </button>
          )}
        </p>
      )}
      <Expectations course={course.key} expected={expected} mayEdit={mayEdit} />
      {!mayEdit ? (
        <p className="soft">Only administrators publish.</p>
      ) : finished ? (
        <PublishForm page={page} count={count} breaks={breaks} />
      ) : (
        <p className="soft">It can be published once the rehearsal is finished.</p>
      )}
      {mayEdit && back === null && <Discard course={course} changes={changes.length} />}
    </aside>
  );
}

interface PublishFormProps {
  page: RehearsalPage;
  count: string;
  /** Expectations that are kept now and would not be any more. */
  breaks: number;
}

function PublishForm({ page: { course, back, setFor, losers, receipt }, count, breaks }: PublishFormProps) {
  const [later, setLater] = useState(setFor !== null);
  const [meant, setMeant] = useState(false);
  const form = useForm({ version: course.draftVersion, live: course.revision, number: back, note: '', at: setFor ?? '', receipt });
  const publish = (event: FormEvent) => {
    event.preventDefault();
    // It may have been reckoned anew since the form was opened.
    form.transform((data) => ({ ...data, receipt }));
    if (back !== null) {
      form.post(keepAddress(course.key, '/revisions/live'));
    } else if (later) {
      form.put(keepAddress(course.key, '/publication'));
    } else {
      form.post(keepAddress(course.key, '/revisions'));
    }
  };
  const rehearseFor = (at: string | null) =>
    router.get(withQuery(keepAddress(course.key, '/rehearsal'), { for: at }), {}, { preserveState: true, preserveScroll: true, replace: true });
  const choose = (toLater: boolean) => {
    setLater(toLater);
    if (!toLater && setFor !== null) {
      rehearseFor(null);
    }
  };
  return (
    <form onSubmit={publish} noValidate>
      {losers > 0 && <p className="takes">{back === null ? 'Publishing' : 'Going back'} takes something from {counted(losers, 'person', 'people')}, or puts it off.</p>}
      {breaks > 0 && (
        <label className="tick takes">
          <input type="checkbox" checked={meant} onChange={(event) => setMeant(event.currentTarget.checked)} /> Publish although {counted(breaks, 'expectation')} {breaks === 1 ? 'is' : 'are'} not kept any more
        </label>
      )}
      {back === null && (
        <fieldset className="whenlive">
          <legend>When</legend>
          <label>
            <input type="radio" name="when" checked={!later} onChange={() => choose(false)} /> At once
          </label>
          <label>
            <input type="radio" name="when" checked={later} onChange={() => choose(true)} /> At a set time
          </label>
        </fieldset>
      )}
      {later && (
        <>
          <TextInput
            type="datetime-local"
            label="Day and time, school time"
            value={form.data.at}
            error={form.errors.at}
            onChange={(event) => form.setData('at', event.currentTarget.value)}
            onBlur={() => form.data.at !== '' && form.data.at !== setFor && rehearseFor(form.data.at)}
          />
          <p>What is shown beside this is then reckoned for that time. If the draft is changed before, it does not go live, and the course says so.</p>
        </>
      )}
      <TextInput
        label="Note for the history (may be left empty)"
        maxLength={255}
        value={form.data.note}
        error={form.errors.note}
        onChange={(event) => form.setData('note', event.currentTarget.value)}
      />
      <Button type="submit" loading={form.processing} disabled={breaks > 0 && !meant} fullWidth>
        {back !== null ? `Make revision ${back} live again` : later ? `Set the time for ${count}` : `Publish ${count}`}
      </Button>
      {!later && <p>It is live from that moment, and can be taken back in one step.</p>}
    </form>
  );
}

function Discard({ course, changes }: { course: CourseHead; changes: number }) {
  const [discarding, setDiscarding] = useState(false);
  return discarding ? (
    <div className="review-acts">
      <span>All {counted(changes, 'change')} would be lost.</span>
      <Button
        type="button"
        variant="outline"
        color="red"
        onClick={() => router.delete(keepAddress(course.key, '/draft'), { data: { version: course.draftVersion } })}
      >
        Throw {changes === 1 ? 'it' : `all ${changes}`} away
      </Button>
      <Button type="button" variant="default" onClick={() => setDiscarding(false)}>
        Keep the draft
      </Button>
    </div>
  ) : (
    <p>
      <button type="button" className="linklike" onClick={() => setDiscarding(true)}>
        Discard the draft…
      </button>
    </p>
  );
}

import { router, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';

import { withQuery } from '../lib/address';
import type { CourseHead, Expected, RehearsalPage } from '../lib/generated/types';
import { counted, plainText } from '../lib/words';
import { ExpectedLine } from '../workspace/sheet/WhySheet';
import { Words } from '../ui/Words';
import { to } from '../lib/route';

/** What is to stay so, whatever is edited: what would break first. */
export function Expectations({ course, expected, mayEdit }: { course: string; expected: Expected[]; mayEdit: boolean }) {
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

export function PublishBlock({ page }: { page: RehearsalPage }) {
  const { course, back, changes, elsewhere, editors, finished, expected, mayEdit } = page;
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
      {elsewhere.map((line) => (
        <p key={line} className="elsewhere">
          {line}
        </p>
      ))}
      {editors.length > 0 && <p>By {editors.join('; ')}.</p>}
      {back === null && course.goesLive !== null && (
        <p className={course.goesLiveAsIs ? 'set' : 'takes'}>
          {course.goesLiveAsIs ? `Set to go live ${course.goesLive}. ` : `It was set to go live ${course.goesLive}, but has been changed since: as it is, it will not. `}
          {mayEdit && (
            <button
              type="button"
              className="linklike"
              onClick={() => router.delete(to('keep.publication.set', { course: course.key }), { data: { version: course.draftVersion }, preserveScroll: true, preserveState: true })}
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

export interface PublishFormProps {
  page: RehearsalPage;
  count: string;
  /** Expectations that are kept now and would not be any more. */
  breaks: number;
}

export function PublishForm({ page: { course, back, setFor, losers, receipt }, count, breaks }: PublishFormProps) {
  const [later, setLater] = useState(setFor !== null);
  const [meant, setMeant] = useState(false);
  const form = useForm({ version: course.draftVersion, live: course.revision, number: back, note: '', at: setFor ?? '', receipt });
  const publish = (event: FormEvent) => {
    event.preventDefault();
    // It may have been reckoned anew since the form was opened.
    form.transform((data) => ({ ...data, receipt }));
    if (back !== null) {
      form.post(to('keep.take-back', { course: course.key }));
    } else if (later) {
      form.put(to('keep.publication.set', { course: course.key }));
    } else {
      form.post(to('keep.history', { course: course.key }));
    }
  };
  const rehearseFor = (at: string | null) =>
    router.get(withQuery(to('keep.rehearsal', { course: course.key }), { for: at }), {}, { preserveState: true, preserveScroll: true, replace: true });
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

export function Discard({ course, changes }: { course: CourseHead; changes: number }) {
  const [discarding, setDiscarding] = useState(false);
  return discarding ? (
    <div className="review-acts">
      <span>All {counted(changes, 'change')} would be lost.</span>
      <Button
        type="button"
        variant="outline"
        color="red"
        onClick={() => router.delete(to('keep.draft.discard', { course: course.key }), { data: { version: course.draftVersion } })}
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

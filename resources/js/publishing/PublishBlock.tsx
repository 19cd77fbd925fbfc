import { router, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../lib/address';
import type { CourseHead, Expected, RehearsalPage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { plainText } from '../lib/words';
import { ExpectedLine } from '../workspace/sheet/Keeping';
import { Words } from '../ui/Words';
import { GivenUp } from './GivenUp';
import { to } from '../lib/route';
import { wallWords } from '../lib/time';
import { WallInput } from '../ui/WallInput';
import css from './publishing.module.css';
import ui from '../ui/ui.module.css';

/** What is to stay so, whatever is edited: what would break first. */
export function Expectations({ course, expected, mayEdit }: { course: string; expected: Expected[]; mayEdit: boolean }) {
  const broken = expected.filter(({ kept }) => !kept);
  if (expected.length === 0) {
    return null;
  }
  return (
    <section>
      <h3>{broken.length === 0 ? say('publishing.expected.all_kept', { count: expected.length }) : say('publishing.expected.not_kept', { broken: broken.length, count: expected.length })}</h3>
      {broken.length > 0 && (
        <ul className={ui.vains}>
          {broken.map((one) => (
            <ExpectedLine key={one.id} course={course} expected={one} mayEdit={mayEdit} />
          ))}
        </ul>
      )}
    </section>
  );
}

export function PublishBlock({ page }: { page: RehearsalPage }) {
  const { course, back, changes, elsewhere, with: along, editors, finished, expected, mayEdit } = page;
  const count = changes.length;
  const breaks = expected.filter(({ kept, broken }) => !kept && !broken).length;
  return (
    <aside className={css.publish}>
      <h2>{say(back === null ? 'publishing.block.draft' : 'publishing.block.live', { count })}</h2>
      <ol>
        {changes.map((change) => (
          <li key={plainText(change)}>
            <Words segments={change.segments} />
          </li>
        ))}
      </ol>
      {along.map((line) => (
        <p key={line} className={css.along}>
          {line}
        </p>
      ))}
      {elsewhere.map((line) => (
        <p key={line} className={css.elsewhere}>
          {line}
        </p>
      ))}
      {editors.length > 0 && <p>{say('publishing.block.editors', { editors: editors.join('; ') })}</p>}
      {back === null && course.goesLive !== null && (
        <p className={course.goesLiveAsIs ? css.set : clsx(ui.takes, css.takes)}>
          {say(course.goesLiveAsIs ? 'publishing.block.set' : 'publishing.block.set_changed', { at: course.goesLive })}
          {mayEdit && (
            <button
              type="button"
              className={clsx(ui.linklike, css.linklike)}
              onClick={() => router.delete(to('keep.publication.set', { course: course.key }), { data: { version: course.draftVersion }, preserveScroll: true, preserveState: true })}
            >
              {say('publishing.block.unset')}
            </button>
          )}
        </p>
      )}
      <Expectations course={course.key} expected={expected} mayEdit={mayEdit} />
      {!mayEdit ? (
        <p className={ui.soft}>{say('publishing.block.administrators')}</p>
      ) : finished ? (
        <PublishForm page={page} count={count} breaks={breaks} />
      ) : (
        <p className={ui.soft}>{say('publishing.block.unfinished')}</p>
      )}
      {mayEdit && back === null && <Discard course={course} changes={changes.length} />}
      <GivenUp course={course} rows={page.givenUp} mayEdit={mayEdit} />
    </aside>
  );
}

export interface PublishFormProps {
  page: RehearsalPage;
  /** How many changes. */
  count: number;
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
      {losers > 0 && <p className={clsx(ui.takes, css.takes)}>{say(back === null ? 'publishing.form.takes' : 'publishing.form.takes_back', { count: losers })}</p>}
      {breaks > 0 && (
        <label className={clsx(ui.tick, ui.takes, css.takes)}>
          <input type="checkbox" checked={meant} onChange={(event) => setMeant(event.currentTarget.checked)} /> {say('publishing.form.although', { count: breaks })}
        </label>
      )}
      {back === null && (
        <fieldset className={ui.whenlive}>
          <legend>{say('publishing.form.when')}</legend>
          <label>
            <input type="radio" name="when" checked={!later} onChange={() => choose(false)} /> {say('publishing.form.at_once')}
          </label>
          <label>
            <input type="radio" name="when" checked={later} onChange={() => choose(true)} /> {say('publishing.form.later')}
          </label>
        </fieldset>
      )}
      {later && (
        <>
          <WallInput
            label={say('publishing.form.at')}
            value={form.data.at}
            error={form.errors.at}
            onWall={(wall) => form.setData('at', wall)}
            onLeft={() => wallWords(form.data.at) !== null && form.data.at !== setFor && rehearseFor(form.data.at)}
          />
          <p>{say('publishing.form.at_told')}</p>
        </>
      )}
      <TextInput
        label={say('publishing.form.note')}
        maxLength={255}
        value={form.data.note}
        error={form.errors.note}
        onChange={(event) => form.setData('note', event.currentTarget.value)}
      />
      <Button type="submit" loading={form.processing} disabled={breaks > 0 && !meant} fullWidth>
        {back !== null ? say('publishing.form.go_back', { number: back }) : say(later ? 'publishing.form.set' : 'publishing.form.publish', { count })}
      </Button>
      {!later && <p>{say('publishing.form.live')}</p>}
    </form>
  );
}

export function Discard({ course, changes }: { course: CourseHead; changes: number }) {
  const [discarding, setDiscarding] = useState(false);
  return discarding ? (
    <div className={ui['review-acts']}>
      <span>{say('publishing.discard.lost', { count: changes })}</span>
      <Button
        type="button"
        variant="outline"
        color="red"
        onClick={() => router.delete(to('keep.draft.discard', { course: course.key }), { data: { version: course.draftVersion } })}
      >
        {say('publishing.discard.do', { count: changes })}
      </Button>
      <Button type="button" variant="default" onClick={() => setDiscarding(false)}>
        {say('publishing.discard.keep')}
      </Button>
    </div>
  ) : (
    <p>
      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setDiscarding(true)}>
        {say('publishing.discard.ask')}
      </button>
    </p>
  );
}

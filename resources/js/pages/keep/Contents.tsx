import { Link, router, useForm } from '@inertiajs/react';
import { Button, NumberInput, Radio, Textarea } from '@mantine/core';
import { clsx } from 'clsx';

import type { ContentForm, ContentRow, ContentsPage } from '../../lib/generated/types';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { FaceEditor } from '../../contents/FaceEditor';
import { CoverPick } from '../../contents/CoverPick';
import { MediaEditor } from '../../contents/MediaEditor';
import { Preview } from '../../contents/Preview';
import { RelatedEditor } from '../../contents/RelatedEditor';
import { QuizEditor } from '../../contents/QuizEditor';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import css from '../../contents/contents.module.css';
import ui from '../../ui/ui.module.css';

/** What the lessons and boards of a course hold. */
export default function Contents({ course, title, face, items, open, mayEdit, related, courses }: ContentsPage) {
  return (
    <KeepShell title={say('contents.contents.contents_of_title', { title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('contents.contents.contents')}</h1>
          </div>
          <p className={ui.doors}>
            {saying('contents.contents.told', { course: <Link href={to('keep.course', { course })}>{title}</Link> })}
          </p>
        </div>
      </PageHead>
      <main className={ui.notices}>
        <nav aria-label={say('contents.contents.items')}>
          <ul>
            <li>
              <Link href={to('keep.contents', { course })} aria-current={open === null ? 'page' : undefined}>
                {say('contents.contents.what_course_says_itself')}
                <span>{say('contents.contents.public_page')}</span>
              </Link>
            </li>
            {items.map((row) => (
              <li key={row.key} style={{ paddingLeft: row.depth * 16 }}>
                <ItemLink course={course} row={row} here={row.key === open?.key} />
              </li>
            ))}
          </ul>
        </nav>
        <div className={css.withrelated}>
          {face !== null && <FaceEditor key={face.version} course={course} title={title} face={face} mayEdit={mayEdit} />}
          {open !== null && <ItemForm key={`${open.key} ${open.version} ${open.draftedVersion}`} course={course} open={open} mayEdit={mayEdit} />}
          {related !== null && <RelatedEditor key={`${related.item} ${related.version}`} course={course} related={related} courses={courses} mayEdit={mayEdit} />}
        </div>
      </main>
    </KeepShell>
  );
}

function ItemLink({ course, row, here }: { course: string; row: ContentRow; here: boolean }) {
  return (
    <Link href={to('keep.contents', { course, item: row.key })} aria-current={here ? 'page' : undefined} preserveScroll>
      {row.title}
      <span>{row.holds === '' ? (row.kind === 'module' ? '' : say('contents.contents.nothing_yet')) : row.holds}</span>
    </Link>
  );
}

const BOARDS = [
  { board: 'announcements', label: say('contents.contents.announcements_what_written_here') },
  { board: 'calendar', label: say('contents.contents.calendar_everybodys_own_openings') },
  { board: 'discussion', label: say('contents.contents.discussion_learners_talk_each') },
  { board: 'marks', label: say('contents.contents.marks_what_one_has') },
];

function ItemForm({ course, open, mayEdit }: { course: string; open: ContentForm; mayEdit: boolean }) {
  const address = to('keep.contents.save', { course, item: open.key });
  const form = useForm({ version: open.version, drafted: open.draftedVersion, later: open.drafted, text: open.text, board: open.board, minutes: open.minutes as number | null, quiz: open.quiz, rules: open.rules, cover: open.cover, focusX: open.focusX, focusY: open.focusY });
  const { data, setData } = form;
  const errors = form.errors as Record<string, string | undefined>;
  return (
    <div className={clsx(ui['notice-edit'], css['content-edit'])}>
      <div>
        <form
          className={ui.review}
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            form.put(address, { preserveScroll: true });
          }}
        >
          <h2>{open.title}</h2>
          {open.drafted && <p className={ui.takes}>{say('contents.contents.drafted')}</p>}
          {open.missing !== null && <p className={ui.takes}>{open.missing}</p>}
          {open.kind === 'board' && (
            <Radio.Group label={say('contents.contents.what_board_for')} value={data.board} error={errors.board} onChange={(board) => setData('board', board)}>
              {BOARDS.map(({ board, label }) => (
                <Radio key={board} value={board} label={label} disabled={!mayEdit} />
              ))}
            </Radio.Group>
          )}
          <Textarea label={say('contents.contents.text')} description={say('contents.contents.markdown')} autosize minRows={6} maxRows={24} disabled={!mayEdit} value={data.text} error={errors.text} onChange={(event) => setData('text', event.currentTarget.value)} />
          {open.kind === 'module' && <CoverPick strip cut={{ token: data.cover, x: data.focusX, y: data.focusY }} label={say('contents.face.pick')} error={errors.cover} disabled={!mayEdit} onCut={(cut) => setData((now) => ({ ...now, cover: cut.token, focusX: cut.x, focusY: cut.y }))} />}
          {(open.kind === 'lesson' || open.kind === 'part') && (
            <NumberInput label={say('contents.contents.minutes')} description={say('contents.contents.minutes_told')} min={1} max={999} allowDecimal={false} disabled={!mayEdit} value={data.minutes ?? ''} error={errors.minutes} onChange={(minutes) => setData('minutes', minutes === '' ? null : Number(minutes))} />
          )}
          {(open.kind === 'lesson' || open.kind === 'part') && <QuizEditor quiz={data.quiz} rules={data.rules} errors={errors} mayEdit={mayEdit} onSet={(quiz) => setData('quiz', quiz)} onRules={(rules) => setData('rules', rules)} />}
          {mayEdit && <Keeping form={form} open={open} address={address} />}
        </form>
        {open.earlier.length > 0 && <Earlier course={course} open={open} mayEdit={mayEdit} />}
        {open.kind !== 'module' && <MediaEditor address={`${address}/media`} media={open.media} mayEdit={mayEdit} />}
      </div>
      <Preview text={data.text} of={open.kind === 'module' ? undefined : { course, item: open.key }} />
    </div>
  );
}

interface KeepingProps {
  form: { data: { later: boolean }; setData: (field: 'later', value: boolean) => void; processing: boolean; isDirty: boolean };
  open: ContentForm;
  address: string;
}

/** At once, or with the draft of the course. */
function Keeping({ form, open, address }: KeepingProps) {
  return (
    <div className={ui['review-acts']}>
      <fieldset className={ui.whenlive}>
        <legend className={ui.vh}>{say('contents.contents.when')}</legend>
        <label>
          <input type="radio" name="later" checked={!form.data.later} onChange={() => form.setData('later', false)} />
          {say('contents.contents.at_once')}
        </label>
        <label>
          <input type="radio" name="later" checked={form.data.later} onChange={() => form.setData('later', true)} />
          {say('contents.contents.with_draft')}
        </label>
      </fieldset>
      {open.drafted && (
        <Button variant="default" type="button" onClick={() => router.delete(address, { data: { drafted: open.draftedVersion }, preserveScroll: true })}>
          {say('contents.contents.throw_away')}
        </Button>
      )}
      <Button type="submit" loading={form.processing} disabled={!form.isDirty && !open.drafted}>
        {say(form.data.later ? 'contents.contents.keep_draft' : 'keep.save')}
      </Button>
    </div>
  );
}

/** What it held before: each can be brought back. */
function Earlier({ course, open, mayEdit }: { course: string; open: ContentForm; mayEdit: boolean }) {
  return (
    <details className={css.earlier}>
      <summary>{say('contents.contents.earlier', { count: open.earlier.length })}</summary>
      <ul>
        {open.earlier.map(({ id, until, who, text }) => (
          <li key={id}>
            <span>
              {say('contents.contents.until', { until, who: who === '' ? say('contents.contents.somebody') : who })}
              <small>{text}</small>
            </span>
            {mayEdit && (
              <button type="button" className={ui.linklike} onClick={() => router.post(to('keep.contents.bring-back', { course, item: open.key, earlier: id }), { version: open.version }, { preserveScroll: true })}>
                {saying('contents.contents.bring_back', { what: <span className={ui.vh}>{until}</span> })}
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { clsx } from 'clsx';

import type { CourseHead, Expected, Sentence, RulesVersion } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { plainText } from '../lib/words';
import { Words } from '../ui/Words';
import { to } from '../lib/route';
import { ExpectedNote } from './Expectations';
import { RulesSeen } from './RulesSeen';
import { PageHead } from '../ui/KeepShell';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

export interface CourseHeadLineProps {
  course: CourseHead;
  changes: Sentence[];
  /** Of the course, by the rules that are looked at. */
  expected: Expected[];
  mayEdit: boolean;
  /** By which rules it is looked at; both at once only where they can be told apart. */
  seen: { see: RulesVersion; before?: unknown } | null;
  onStep: (way: 'undo' | 'redo') => void;
  onSee: (see: string | null) => void;
  onCourse: () => void;
  /** Chooses who looks; left out where nobody does. */
  onWho?: () => void;
}

/** What stands above the grid: who gets in, and what waits to be published. */
export function CourseHeadLine({ course, changes, expected, mayEdit, seen, onStep, onSee, onCourse, onWho }: CourseHeadLineProps) {
  return (
    <>
    {course.notPublished !== null && (
      <div className={clsx(ui.flash, ui['flash-refused'])} role="alert">
        <p>
          <b>{course.notPublished}</b>
        </p>
        {mayEdit && (
          <button type="button" onClick={() => router.delete(to('keep.publication.set', { course: course.key }), { data: { version: course.draftVersion }, preserveScroll: true })}>
            {say('keep.close')}
          </button>
        )}
      </div>
    )}
    <PageHead>
      <div className={css.coursehead}>
        <div className={ui.title}>
          <h1>{course.title}</h1>
          {course.revision === null ? (
            <span className={clsx(ui.state, ui['state-draft'])}>{say('keep.not_live_yet')}</span>
          ) : (
            <span className={clsx(ui.state, ui[`state-${course.state}`])}>{course.state}</span>
          )}
          <ExpectedNote course={course.key} expected={expected} see={seen?.see ?? 'draft'} mayEdit={mayEdit} />
        </div>
        <div className={css.doorline}>
          <p className={ui.doors}>
            <Words segments={course.doors} titles="b" />
          </p>
          {mayEdit && (
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onCourse}>
              {say('workspace.course_head_line.change')}
            </button>
          )}
        </div>
        <Findings course={course} />
      </div>
      <div className={css.acts}>
        {seen !== null && changes.length > 0 && (
          <RulesSeen see={seen.see} both={seen.before !== undefined} onlyDraft={course.revision === null} onSee={(see) => onSee(see === 'draft' ? null : see)} />
        )}
        {onWho !== undefined && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onWho}>
            {saying('workspace.course_head_line.who_looks', { key: <kbd>V</kbd> })}
          </button>
        )}
        {mayEdit && course.edits > 0 && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onStep('undo')}>
            {saying('workspace.course_head_line.undo', { key: <kbd>{say('keep.keys.ctrl_z')}</kbd> })}
          </button>
        )}
        {mayEdit && course.undone > 0 && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onStep('redo')}>
            {saying('workspace.course_head_line.redo', { key: <kbd>{say('keep.keys.ctrl_y')}</kbd> })}
          </button>
        )}
        {course.goesLive !== null && (
          <Link href={to('keep.rehearsal', { course: course.key })} className={clsx(css.golive, !(course.goesLiveAsIs) && css.stale)}>
            {course.goesLiveAsIs ? say('workspace.course_head_line.goes_live_goes_live', { goes_live: course.goesLive }) : say('workspace.course_head_line.changed_since_was_set', { goes_live: course.goesLive })}
          </Link>
        )}
        {course.findings.length === 0 && <Link href={to('keep.checks', { course: course.key })}>{say('found.title')}</Link>}
        <Link href={to('keep.contents', { course: course.key })}>{say('workspace.course_head_line.contents')}</Link>
        <Link href={to('keep.course-notices', { course: course.key })}>{say('workspace.course_head_line.notices')}</Link>
        {course.revision !== null && <Link href={to('keep.numbers', { course: course.key })}>{say('numbers.title')}</Link>}
        {course.revision !== null && <Link href={to('keep.changed', { course: course.key })}>{say('changed.link')}</Link>}
        <Link href={to('keep.history', { course: course.key })}>{say('workspace.course_head_line.history')}</Link>
        <Link href={to('keep.retire', { course: course.key })}>{say(course.state === 'retired' ? 'workspace.course_head_line.closing' : 'workspace.course_head_line.retire')}</Link>
        <Link href={to('keep.run-again', { course: course.key })}>{say('workspace.course_head_line.run_again')}</Link>
        {changes.length > 0 && (
          <Button component={Link} href={to('keep.rehearsal', { course: course.key })} h={30} size="sm">
            {say('workspace.course_head_line.review', { changes: changes.length })}
          </Button>
        )}
      </div>
    </PageHead>
    </>
  );
}

/** What is found in the rules: the first in words, the others where they are all told. */
function Findings({ course }: { course: CourseHead }) {
  const [first] = course.findings;
  if (first === undefined) {
    return null;
  }
  return (
    <p className={css.findingline} title={course.findings.map(plainText).join('\n')}>
      <Link href={to('keep.checks', { course: course.key })}>{say('found.count', { count: course.findings.length })}</Link> · <Words segments={first.segments} />
    </p>
  );
}

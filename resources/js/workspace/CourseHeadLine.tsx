import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';

import type { CourseHead, Sentence, SightlinesGrid } from '../lib/generated/types';
import { counted, plainText } from '../lib/words';
import { Words } from '../ui/Words';
import { to } from '../lib/route';

export interface CourseHeadLineProps {
  course: CourseHead;
  changes: Sentence[];
  mayEdit: boolean;
  seen: SightlinesGrid | null;
  onStep: (way: 'undo' | 'redo') => void;
  onSee: (see: string | null) => void;
  onCourse: () => void;
  /** Chooses who looks; left out where nobody does. */
  onWho?: () => void;
}

const SEES = [
  { see: 'published', title: 'As published' },
  { see: 'draft', title: 'With the changes' },
  { see: 'both', title: 'Both' },
];

/** What stands above the grid: who gets in, and what waits to be published. */
export function CourseHeadLine({ course, changes, mayEdit, seen, onStep, onSee, onCourse, onWho }: CourseHeadLineProps) {
  return (
    <>
    {course.notPublished !== null && (
      <div className="flash flash-refused" role="alert">
        <p>
          <b>{course.notPublished}</b>
        </p>
        {mayEdit && (
          <button type="button" onClick={() => router.delete(to('keep.publication.set', { course: course.key }), { data: { version: course.draftVersion }, preserveScroll: true })}>
            Close
          </button>
        )}
      </div>
    )}
    <div className="head">
      <div>
        <div className="title">
          <h1>{course.title}</h1>
          {course.revision === null ? (
            <span className="state state-draft">not live yet</span>
          ) : (
            <span className={`state state-${course.state}`}>{course.state}</span>
          )}
        </div>
        <p className="doors">
          <Words segments={course.doors} titles="b" />
          {mayEdit && (
            <>
              {' '}
              <button type="button" className="linklike" onClick={onCourse}>
                change
              </button>
            </>
          )}
        </p>
        <Findings course={course} />
      </div>
      <div className="acts">
        {seen !== null && changes.length > 0 && (
          <div className="seg" role="group" aria-label="Which rules are looked at">
            {SEES.map(({ see, title }) => (
              <button key={see} type="button" aria-pressed={seen.see === see} disabled={course.revision === null && see !== 'draft'} onClick={() => onSee(see === 'draft' ? null : see)}>
                {title}
              </button>
            ))}
          </div>
        )}
        {onWho !== undefined && (
          <button type="button" className="linklike" onClick={onWho}>
            <kbd>V</kbd> who looks
          </button>
        )}
        {mayEdit && course.edits > 0 && (
          <button type="button" className="linklike" onClick={() => onStep('undo')}>
            <kbd>Ctrl Z</kbd> undo the last edit
          </button>
        )}
        {mayEdit && course.undone > 0 && (
          <button type="button" className="linklike" onClick={() => onStep('redo')}>
            <kbd>Ctrl Y</kbd> redo
          </button>
        )}
        {course.goesLive !== null && (
          <Link href={to('keep.rehearsal', { course: course.key })} className={course.goesLiveAsIs ? 'golive' : 'golive stale'}>
            {course.goesLiveAsIs ? `Goes live ${course.goesLive}` : `Changed since it was set for ${course.goesLive}: set it again`}
          </Link>
        )}
        <Link href={to('keep.contents', { course: course.key })}>Contents</Link>
        <Link href={to('keep.course-notices', { course: course.key })}>Notices</Link>
        <Link href={to('keep.history', { course: course.key })}>History</Link>
        {changes.length > 0 && (
          <Button component={Link} href={to('keep.rehearsal', { course: course.key })} h={30} size="sm">
            Review {counted(changes.length, 'unpublished change')}
          </Button>
        )}
      </div>
    </div>
    </>
  );
}

/** What looks like a mistake in how the course is sold: the first in words, the others where they are all told. */
function Findings({ course }: { course: CourseHead }) {
  const [first] = course.findings;
  if (first === undefined) {
    return null;
  }
  return (
    <p className="findingline" title={course.findings.map(plainText).join('\n')}>
      <Words segments={first.segments} />{' '}
      <Link href={`${to('keep.offers')}#${course.key}`}>{course.findings.length > 1 ? `and ${counted(course.findings.length - 1, 'more finding')}` : 'Offers'}</Link>
    </p>
  );
}

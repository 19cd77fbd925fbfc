import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Arch } from '../ui/Arch';
import { useLearnerAddress } from '../lib/page';
import type { CourseFrame } from '../lib/generated/types';
import { LookingAs } from './LookingAs';
import { say } from '../lib/say';
import css from './learn.module.css';

export interface CourseSideProps {
  course: CourseFrame;
  /** The item that is shown beside it. */
  here?: string;
}

/** The frame of a course beside a lesson or a notice. */
export function CourseSide({ course, here }: CourseSideProps) {
  const address = useLearnerAddress();
  return (
    <aside className={css.side}>
      <p className={css['side-title']}>
        <Link href={address(course.key)}>{course.title}</Link>
      </p>
      <LookingAs course={course} />
      <ol className={css.crumbs} aria-label={say('course.outline', { course: course.title })}>
        {course.path.map((row) =>
          row.kind === 'module' ? (
            <li key={row.key} className={css.m}>
              {row.title}
            </li>
          ) : (
            <li key={row.key} aria-current={row.key === here ? 'page' : undefined} className={css[row.kind]}>
              <Arch glyph={row.glyph} look={row.look} size={16} />
              {row.open && row.key !== here ? <Link href={address(course.key, row.key)}>{row.title}</Link> : row.title}
            </li>
          ),
        )}
      </ol>
    </aside>
  );
}

/** What is asked for is counted; what is optional stands beside it. */
export function progressWords({ finished, lessons, more }: { finished: number; lessons: number; more: number }): string {
  return more > 0 ? say('finished_more', { finished, lessons, more }) : say('finished', { finished, lessons });
}

/** More than these are no steps any more, but a road. */
const MOST_STEPS = 40;

export function Progress({ course }: { course: CourseFrame }) {
  return (
    <>
      {course.lessons > MOST_STEPS ? (
        <div className={css.stepsbar} aria-hidden>
          <i style={{ width: `${(100 * course.finished) / course.lessons}%` }} />
        </div>
      ) : (
        <div className={css.steps} aria-hidden>
          {Array.from({ length: course.lessons }, (_, index) => (
            <i key={index} className={clsx(index < course.finished && css.did)} />
          ))}
        </div>
      )}
      <p className={css.prog}>
        {progressWords(course)}
      </p>
    </>
  );
}

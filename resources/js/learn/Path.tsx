import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Arch } from '../ui/Arch';
import { useLearnerAddress } from '../lib/page';
import type { CourseFrame, PathRow } from '../lib/generated/types';
import { say } from '../lib/say';
import { Words } from '../ui/Words';
import css from './learn.module.css';

/** Modules and lessons of a course as its learner meets them, boards left out. */
export function Path({ course }: { course: CourseFrame }) {
  return (
    <ol className={css.path}>
      {course.path
        .filter((row) => row.kind !== 'board')
        .map((row) => (
          <li key={row.key} className={css[row.kind]} id={row.key} style={{ marginLeft: Math.max(0, row.depth - 1) * 30 }}>
            {row.kind === 'module' ? <ModuleLine row={row} /> : <LessonLine course={course.key} row={row} />}
          </li>
        ))}
    </ol>
  );
}

function ModuleLine({ row }: { row: PathRow }) {
  return (
    <h2>
      {row.title}
      {row.optional && <span className={css.opt}>{say('optional')}</span>}
      <span className={clsx(row.later && css.later)}>
        <Words segments={row.status.segments} />
      </span>
    </h2>
  );
}

/** A lesson or part with its state, as a line. */
export function LessonLine({ course, row }: { course: string; row: PathRow }) {
  const address = useLearnerAddress();
  const tone = clsx(css.st, row.later ? css.later : row.finished && css.did);
  return (
    <div className={clsx(css.les, !(row.open) && css.shut)}>
      <Arch glyph={row.glyph} look={row.look} size={20} />
      <Link className={css.name} href={address(course, row.key)}>
        {row.title}
      </Link>
      {row.optional && !row.finished && <span className={css.opt}>{say('optional')}</span>}
      <span className={tone}>
        <Words segments={row.status.segments} />
      </span>
    </div>
  );
}

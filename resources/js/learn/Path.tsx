import { Link } from '@inertiajs/react';

import { Arch } from '../ui/Arch';
import { useLearnerAddress } from '../lib/page';
import type { CourseFrame, PathRow } from '../lib/generated/types';
import { say } from '../lib/say';
import { Words } from '../ui/Words';

/** Modules and lessons of a course as its learner meets them, boards left out. */
export function Path({ course }: { course: CourseFrame }) {
  return (
    <ol className="path">
      {course.path
        .filter((row) => row.kind !== 'board')
        .map((row) => (
          <li key={row.key} className={row.kind} id={row.key} style={{ marginLeft: Math.max(0, row.depth - 1) * 30 }}>
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
      {row.optional && <span className="opt">{say('optional')}</span>}
      <span className={row.later ? 'later' : ''}>
        <Words segments={row.status.segments} />
      </span>
    </h2>
  );
}

/** A lesson or part with its state, as a line. */
export function LessonLine({ course, row }: { course: string; row: PathRow }) {
  const address = useLearnerAddress();
  const tone = row.later ? 'st later' : row.finished ? 'st did' : 'st';
  return (
    <div className={row.open ? 'les' : 'les shut'}>
      <Arch glyph={row.glyph} look={row.look} size={20} />
      <Link className="name" href={address(course, row.key)}>
        {row.title}
      </Link>
      {row.optional && !row.finished && <span className="opt">{say('optional')}</span>}
      <span className={tone}>
        <Words segments={row.status.segments} />
      </span>
    </div>
  );
}

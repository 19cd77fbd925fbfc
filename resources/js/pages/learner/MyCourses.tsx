import { Link, router } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { MyCoursesPage } from '../../lib/generated/types';
import { progressWords } from '../../learn/CourseSide';
import { LearnerShell } from '../../learn/LearnerShell';
import { to } from '../../lib/route';
import { say } from '../../lib/say';

export default function MyCourses({ courses, learners, observed }: MyCoursesPage) {
  return (
    <LearnerShell title={say('mine.title')}>
      <h1>{say('mine.title')}</h1>
      {learners.length > 0 && (
        <div className="lookwith" role="group" aria-label={say('mine.whom')}>
          <span>{say('mine.look')}</span>
          <button type="button" aria-pressed={observed === null} onClick={() => router.post(to('look-with'), { learner: 0 }, { preserveScroll: true })}>
            {say('mine.yourself')}
          </button>
          {learners.map(({ id, name }) => (
            <button key={id} type="button" aria-pressed={observed === id} onClick={() => router.post(to('look-with'), { learner: id }, { preserveScroll: true })}>
              {say('mine.with', { name })}
            </button>
          ))}
        </div>
      )}
      {courses.length === 0 ? (
        <p>{say('mine.none')}</p>
      ) : (
        <ul className="mine">
          {courses.map((course) => (
            <li key={course.key}>
              <h2>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </h2>
              <p>{course.detail}</p>
              <p className="mine-prog">
                {progressWords(course)}
              </p>
            </li>
          ))}
        </ul>
      )}
    </LearnerShell>
  );
}

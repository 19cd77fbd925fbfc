import { Link, router } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { MyCoursesPage } from '../../lib/types';
import { counted } from '../../lib/words';
import { LearnerShell } from '../../ui/LearnerShell';

export default function MyCourses({ courses, learners, observed }: MyCoursesPage) {
  return (
    <LearnerShell title="My courses">
      <h1>My courses</h1>
      {learners.length > 0 && (
        <div className="lookwith" role="group" aria-label="With whom you look">
          <span>Look</span>
          <button type="button" aria-pressed={observed === null} onClick={() => router.post('/look-with', { learner: 0 }, { preserveScroll: true })}>
            as yourself
          </button>
          {learners.map(({ id, name }) => (
            <button key={id} type="button" aria-pressed={observed === id} onClick={() => router.post('/look-with', { learner: id }, { preserveScroll: true })}>
              with {name}
            </button>
          ))}
        </div>
      )}
      {courses.length === 0 ? (
        <p>Nothing is open to you yet. As soon as you hold a pass, its course stands here.</p>
      ) : (
        <ul className="mine">
          {courses.map((course) => (
            <li key={course.key}>
              <h2>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </h2>
              <p>{course.detail}</p>
              <p className="mine-prog">
                {course.finished} of {counted(course.lessons, 'lesson')} finished
              </p>
            </li>
          ))}
        </ul>
      )}
    </LearnerShell>
  );
}

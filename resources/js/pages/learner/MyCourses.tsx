import { Link } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { MyCoursesPage } from '../../lib/types';
import { counted } from '../../lib/words';
import { LearnerShell } from '../../ui/LearnerShell';

export default function MyCourses({ courses }: MyCoursesPage) {
  return (
    <LearnerShell title="My courses">
      <h1>My courses</h1>
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

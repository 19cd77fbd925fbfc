import { Link } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { FrontPage } from '../../lib/types';
import { counted } from '../../lib/words';
import { LearnerShell } from '../../ui/LearnerShell';

export default function Front({ courses }: FrontPage) {
  return (
    <LearnerShell title="Courses">
      <h1>Courses</h1>
      {courses.length === 0 ? (
        <p>Nothing is on show yet.</p>
      ) : (
        <ul className="mine">
          {courses.map((course) => (
            <li key={course.key}>
              <h2>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </h2>
              <p>{course.entry}</p>
              <p className="mine-prog">
                {counted(course.lessons, 'lesson')}
                {course.open > 0 && `, ${course.open} to look at now`}
              </p>
            </li>
          ))}
        </ul>
      )}
    </LearnerShell>
  );
}

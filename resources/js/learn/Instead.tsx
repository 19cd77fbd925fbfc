import { Link } from '@inertiajs/react';

import { learnerAddress } from '../lib/address';
import type { OtherCourse } from '../lib/generated/types';
import { useShared } from '../lib/page';
import { say } from '../lib/say';
import css from './learn.module.css';

/** Where to go instead of a course that is over. */
export function Instead({ courses }: { courses: OtherCourse[] }) {
  const { standIn } = useShared();
  if (courses.length === 0) {
    return null;
  }
  return (
    <section className={css.instead} aria-label={say('closing.instead')}>
      <h2>{say('closing.instead')}</h2>
      <ul>
        {courses.map((course) => (
          <li key={course.key}>
            {standIn === undefined ? <Link href={learnerAddress(course.key)}>{course.title}</Link> : course.title}
            <span>{course.told}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { Link } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { FrontPage } from '../../lib/generated/types';
import { LearnerShell } from '../../learn/LearnerShell';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

export default function Front({ courses, over }: FrontPage) {
  return (
    <LearnerShell title={say('front.title')}>
      <h1>{say('front.title')}</h1>
      {courses.length === 0 ? (
        <p>{say('front.none')}</p>
      ) : (
        <ul className={css.mine}>
          {courses.map((course) => (
            <li key={course.key}>
              <h2>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </h2>
              <p>{course.entry}</p>
              <p className={css['mine-prog']}>
                {course.open > 0 ? say('front.open', { lessons: say('lessons', { count: course.lessons }), count: course.open }) : say('lessons', { count: course.lessons })}
              </p>
            </li>
          ))}
        </ul>
      )}
      {over.length > 0 && (
        <section className={css.frontover} aria-label={say('front.over')}>
          <h2>{say('front.over')}</h2>
          <ul>
            {over.map((course) => (
              <li key={course.key}>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </LearnerShell>
  );
}

import { Link, router } from '@inertiajs/react';

import { learnerAddress } from '../../lib/address';
import type { MyCoursesPage } from '../../lib/generated/types';
import { progressWords } from '../../learn/CourseSide';
import { LearnerShell } from '../../learn/LearnerShell';
import { to } from '../../lib/route';
import { say } from '../../lib/say';
import css from '../../learn/learn.module.css';

export default function MyCourses({ courses, learners, observed }: MyCoursesPage) {
  const choosing = learners.length > 0 && observed === null;
  return (
    <LearnerShell title={say('mine.title')}>
      <h1>{say('mine.title')}</h1>
      {choosing && (
        <section aria-label={say('mine.whom')}>
          <p>{say('mine.choose')}</p>
          <ul className={css.choices}>
            {learners.map(({ id, name }) => (
              <li key={id}>
                <button type="button" onClick={() => router.post(to('look-with'), { learner: id })}>
                  {say('mine.with', { name })}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {courses.length === 0 ? (
        !choosing && <p>{say(observed === null ? 'mine.none' : 'mine.none_with')}</p>
      ) : (
        <ul className={css.mine}>
          {courses.map((course) => (
            <li key={course.key}>
              <h2>
                <Link href={learnerAddress(course.key)}>{course.title}</Link>
              </h2>
              <p>{course.detail}</p>
              <p className={css['mine-prog']}>
                {progressWords(course)}
              </p>
            </li>
          ))}
        </ul>
      )}
    </LearnerShell>
  );
}

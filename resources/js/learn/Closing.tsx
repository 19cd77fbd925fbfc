import type { ClosingWords, CourseFaceTold, CourseFrame } from '../lib/generated/types';
import { say } from '../lib/say';
import { Ask } from './Ask';
import { Instead } from './Instead';
import { NextRunForm } from './NextRunForm';
import { Prose } from './Prose';
import css from './learn.module.css';

/** What stands at the end of a course: the school's words, where to go instead, and how to hear of it again. */
export function Closing({ course, face, closing }: { course: CourseFrame; face: CourseFaceTold; closing: ClosingWords }) {
  return (
    <section className={css.closingpage} aria-label={say('closing.title')}>
      <p className={css.closing}>{closing.text}</p>
      {closing.html !== null && <Prose html={closing.html} />}
      <div className={css['closing-ways']}>
        <Instead courses={closing.instead} />
        <NextRunForm course={course.key} signUp={closing.signUp} />
      </div>
      <Ask name={face.contactName} email={face.contactEmail} as="notice" />
    </section>
  );
}

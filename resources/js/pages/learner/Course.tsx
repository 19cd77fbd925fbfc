import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { Prose } from '../../learn/Prose';
import { Related } from '../../learn/Related';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import { useLearnerAddress } from '../../lib/page';
import type { ClosingWords, CoursePage, PathRow } from '../../lib/generated/types';
import { Progress } from '../../learn/CourseSide';
import { Instead } from '../../learn/Instead';
import { LearnerShell } from '../../learn/LearnerShell';
import { NextRunForm } from '../../learn/NextRunForm';
import { LookingAs } from '../../learn/LookingAs';
import { OfferCards } from '../../learn/Offers';
import { Path } from '../../learn/Path';
import { to } from '../../lib/route';
import { say, saying } from '../../lib/say';
import css from '../../learn/learn.module.css';

export default function Course({ course, next, last, opens, about, videos, quizzes, offers, closing, related }: CoursePage) {
  useTurns(course.turnsIn);
  const address = useLearnerAddress();
  const boards = course.path.filter((row) => row.kind === 'board' && row.open);
  return (
    <LearnerShell title={course.title} signIn={withQuery(to('sign-in'), { back: learnerAddress(course.key) })}>
      <div className={css.two}>
        <aside className={css.side}>
          <h1>{course.title}</h1>
          {course.pass === null && course.otherPasses.map((pass) => (
            <p key={pass.words} className={css.passline}>
              {pass.words}
            </p>
          ))}
          {course.pass === null ? (
            <p className={css.passline}>{[say('lessons', { count: course.lessons }), ...(videos > 0 ? [say('videos', { count: videos })] : []), ...(quizzes > 0 ? [say('quizzes', { count: quizzes })] : [])].join(', ')}</p>
          ) : (
            <>
              <p className={css.passline}>
                {course.pass}
                {course.left !== null && <b>{course.left}</b>}
              </p>
              {course.otherPasses.map((pass) => (
                <p key={pass.words} className={css.passline}>
                  {pass.words}
                  {pass.left !== null && <b>{pass.left}</b>}
                </p>
              ))}
              <Progress course={course} />
              {opens !== null && (
                <p className={css.opensnext}>
                  {saying('course.opens_next', { item: opens.title, at: <time key="at">{opens.at}</time> })}
                </p>
              )}
            </>
          )}
          {closing !== null && (
            <section className={css.closing} aria-label={closing.text}>
              <p>{closing.text}</p>
            </section>
          )}
          <LookingAs course={course} />
          <Doorway course={course.key} next={next} last={last} />
          {boards.length > 0 && (
            <ul className={css.boards}>
              {boards.map((board) => (
                <li key={board.key}>
                  <Link href={address(course.key, board.key)}>{board.title}</Link>
                </li>
              ))}
            </ul>
          )}
          {offers.length > 0 && (
            <section className={css.offersbox} aria-label={say(course.pass === null ? 'course.get_in' : 'course.go_further')}>
              <h2>{say(course.pass === null ? 'course.get_in' : 'course.go_further')}</h2>
              <OfferCards offers={offers} />
            </section>
          )}
        </aside>
        <div>
          <Prose html={about} />
          {closing !== null && <Closing course={course.key} closing={closing} />}
          <Path course={course} />
          <Related related={related} />
        </div>
      </div>
    </LearnerShell>
  );
}

/** What stands at the end of a course: the school's words, where to go instead, and how to hear of it again. */
function Closing({ course, closing }: { course: string; closing: ClosingWords }) {
  return (
    <section className={css.closingpage} aria-label={say('closing.title')}>
      {closing.html !== null && <Prose html={closing.html} />}
      <div className={css['closing-ways']}>
        <Instead courses={closing.instead} />
        <NextRunForm course={course} signUp={closing.signUp} />
      </div>
      {closing.contactName !== null && closing.contactEmail !== null && (
        <p>
          {saying('notice.ask', { contact: <a key="contact" href={`mailto:${closing.contactEmail}`}>{say('notice.contact', { name: closing.contactName })}</a> })}
        </p>
      )}
    </section>
  );
}

/** The door to what is to be done: where one was last, or the next step. */
function Doorway({ course, next, last }: { course: string; next: PathRow | null; last: PathRow | null }) {
  const address = useLearnerAddress();
  const row = last ?? next;
  if (row === null) {
    return null;
  }
  const [label, button] = last !== null ? [say('course.were'), say('course.go_on')] : row.look ? [say('course.look'), say('course.have_look')] : [say('course.next'), say('course.start')];
  return (
    <>
      <div className={css.doorway}>
        <div>
          <span className={css.lab}>{label}</span>
          <strong>{row.title}</strong>
          <Button component={Link} href={address(course, row.key)} size="md">
            {button}
          </Button>
        </div>
      </div>
      {last !== null && next !== null && next.key !== last.key && (
        <p className={css.nextstep}>
          {saying('course.next_is', { item: <Link key="item" href={address(course, next.key)}>{next.title}</Link> })}
        </p>
      )}
    </>
  );
}

import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { CoursePage, PathRow } from '../lib/generated/types';
import { useLearnerAddress } from '../lib/page';
import { say, saying } from '../lib/say';
import { ButtonLink } from '../ui/Plain';
import { Ask } from './Ask';
import { Closing } from './Closing';
import { Progress } from './CourseSide';
import { LookingAs } from './LookingAs';
import { OfferCards } from './Offers';
import { Path } from './Path';
import { Prose } from './Prose';
import { Related } from './Related';
import { Subscribe } from './Subscribe';
import css from './learn.module.css';

/** A course to whoever is in it: on from where one was, what opens next, and how much is behind and ahead. */
export function Inside({ page }: { page: CoursePage }) {
  const { course, face, next, last, opens, offers, closing, related, calendar, canSubscribe } = page;
  const address = useLearnerAddress();
  const boards = course.path.filter((row) => row.kind === 'board' && row.open);
  return (
    <div className={clsx(css.two, css.around)}>
      <aside className={css.side}>
        <h1>{course.title}</h1>
        {course.pass !== null && (
          <p className={css.passline}>
            {course.pass}
            {course.left !== null && <b>{course.left}</b>}
          </p>
        )}
        {course.otherPasses.map((pass) => (
          <p key={pass.words} className={css.passline}>
            {pass.words}
            {pass.left !== null && <b>{pass.left}</b>}
          </p>
        ))}
        <Progress course={course} />
        {opens !== null && (
          <p className={css.opensnext}>{saying('course.opens_next', { item: <Link key="item" href={address(course.key, opens.key)}>{opens.title}</Link>, at: <time key="at" dateTime={opens.instant}>{opens.at}</time> })}</p>
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
      </aside>
      <div>
        {closing !== null && <Closing course={course} face={face} closing={closing} />}
        <Path course={course} modules={page.modules} />
        {face.about !== '' && (
          <details className={css.fold}>
            <summary>{say('course.about')}</summary>
            <Prose html={face.about} />
          </details>
        )}
        <Related related={related} />
      </div>
      <div className={css.further}>
        {offers.length > 0 && (
          <section className={css.offersbox} aria-label={say('course.go_further')}>
            <h2>{say('course.go_further')}</h2>
            <OfferCards offers={offers} />
          </section>
        )}
        {canSubscribe && closing === null && (
          <details className={css.fold}>
            <summary>{say('board.calendar')}</summary>
            <Subscribe calendar={calendar} titled={false} />
          </details>
        )}
        {closing === null && <Ask name={face.contactName} email={face.contactEmail} as="notice" />}
      </div>
    </div>
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
          <ButtonLink href={address(course, row.key)}>{button}</ButtonLink>
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

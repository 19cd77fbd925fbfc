import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { Prose } from '../../learn/Prose';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress } from '../../lib/address';
import { useLearnerAddress } from '../../lib/page';
import type { CoursePage, PathRow } from '../../lib/types';
import { counted } from '../../lib/words';
import { Progress } from '../../ui/CourseSide';
import { LearnerShell } from '../../ui/LearnerShell';
import { LookingAs } from '../../ui/LookingAs';
import { OfferCards } from '../../ui/Offers';
import { Path } from '../../ui/Path';

export default function Course({ course, next, last, opens, about, videos, quizzes, offers }: CoursePage) {
  useTurns(course.turnsIn);
  const address = useLearnerAddress();
  const boards = course.path.filter((row) => row.kind === 'board' && row.open);
  return (
    <LearnerShell title={course.title} signIn={`/sign-in?back=${encodeURIComponent(learnerAddress(course.key))}`}>
      <div className="two">
        <aside className="side">
          <h1>{course.title}</h1>
          {course.pass === null ? (
            <p className="passline">{[counted(course.lessons, 'lesson'), ...(videos > 0 ? [counted(videos, 'video')] : []), ...(quizzes > 0 ? [counted(quizzes, 'quiz', 'quizzes')] : [])].join(', ')}</p>
          ) : (
            <>
              <p className="passline">
                {course.pass}
                {course.left !== null && <b>{course.left}</b>}
              </p>
              <Progress course={course} />
              {opens !== null && (
                <p className="opensnext">
                  Opens next: {opens.title}, <time>{opens.at}</time>
                </p>
              )}
            </>
          )}
          <LookingAs course={course} />
          <Doorway course={course.key} next={next} last={last} />
          {boards.length > 0 && (
            <ul className="boards">
              {boards.map((board) => (
                <li key={board.key}>
                  <Link href={address(course.key, board.key)}>{board.title}</Link>
                </li>
              ))}
            </ul>
          )}
          {offers.length > 0 && (
            <section className="offersbox" aria-label="How to get in">
              <h2>How to get in</h2>
              <OfferCards offers={offers} />
            </section>
          )}
        </aside>
        <div>
          <Prose html={about} />
          <Path course={course} />
        </div>
      </div>
    </LearnerShell>
  );
}

/** The door to what is to be done: where one was last, or the next step. */
function Doorway({ course, next, last }: { course: string; next: PathRow | null; last: PathRow | null }) {
  const address = useLearnerAddress();
  const row = last ?? next;
  if (row === null) {
    return null;
  }
  const [label, button] = last !== null ? ['Where you were', 'Go on'] : row.look ? ['Open to look at', 'Have a look'] : ['Next for you', 'Start the lesson'];
  return (
    <>
      <div className="doorway">
        <div>
          <span className="lab">{label}</span>
          <strong>{row.title}</strong>
          <Button component={Link} href={address(course, row.key)} size="md">
            {button}
          </Button>
        </div>
      </div>
      {last !== null && next !== null && next.key !== last.key && (
        <p className="nextstep">
          Next for you: <Link href={address(course, next.key)}>{next.title}</Link>
        </p>
      )}
    </>
  );
}

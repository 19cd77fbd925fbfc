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

export default function Course({ course, next, about, videos, quizzes, offers }: CoursePage) {
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
              <p className="passline">{course.pass}</p>
              <Progress course={course} />
            </>
          )}
          <LookingAs course={course} />
          {next !== null && <Doorway course={course.key} next={next} />}
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

function Doorway({ course, next }: { course: string; next: PathRow }) {
  const address = useLearnerAddress();
  return (
    <div className="doorway">
      <div>
        <span className="lab">{next.look ? 'Open to look at' : 'Next for you'}</span>
        <strong>{next.title}</strong>
        <Button component={Link} href={address(course, next.key)} size="md">
          {next.look ? 'Have a look' : 'Start the lesson'}
        </Button>
      </div>
    </div>
  );
}

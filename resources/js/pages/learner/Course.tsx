import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import type { CoursePage } from '../../lib/generated/types';
import { Closing } from '../../learn/Closing';
import { Inside } from '../../learn/Inside';
import { LearnerShell } from '../../learn/LearnerShell';
import { Outside } from '../../front/Outside';
import { Related } from '../../learn/Related';
import { to } from '../../lib/route';

export default function Course(page: CoursePage) {
  const { course, inside, closing, related } = page;
  useTurns(course.turnsIn);
  return (
    <LearnerShell title={course.title} signIn={withQuery(to('sign-in'), { back: learnerAddress(course.key) })}>
      {inside ? (
        <Inside page={page} />
      ) : (
        <>
          {closing !== null && <Closing course={course} face={page.face} closing={closing} />}
          <Outside page={page} />
          <Related related={related} />
        </>
      )}
    </LearnerShell>
  );
}

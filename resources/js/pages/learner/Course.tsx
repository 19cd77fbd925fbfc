import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import type { CoursePage } from '../../lib/generated/types';
import { Inside } from '../../learn/Inside';
import { LearnerShell } from '../../learn/LearnerShell';
import { Outside } from '../../front/Outside';
import { Related } from '../../learn/Related';
import { to } from '../../lib/route';

export default function Course(page: CoursePage) {
  const { course, inside, related } = page;
  useTurns(course.turnsIn);
  return (
    <LearnerShell title={course.title} signIn={withQuery(to('sign-in'), { back: learnerAddress(course.key) })}>
      {inside ? (
        <Inside page={page} />
      ) : (
        <>
          <Outside page={page} />
          <Related related={related} />
        </>
      )}
    </LearnerShell>
  );
}

import { useTurns } from '../../learn/useTurns';
import { CourseSide } from '../../learn/CourseSide';
import { LearnerShell } from '../../learn/LearnerShell';
import { NoticeBody } from '../../learn/NoticeBody';
import type { NoticePage } from '../../lib/generated/types';
import { plainText } from '../../lib/words';
import css from '../../learn/learn.module.css';

export default function Notice(page: NoticePage) {
  const { course, item, heading, signIn } = page;
  useTurns(course.turnsIn);
  return (
    <LearnerShell title={plainText(heading)} signIn={signIn}>
      <div className={css.two}>
        <CourseSide course={course} here={item} />
        <NoticeBody page={page} />
      </div>
    </LearnerShell>
  );
}

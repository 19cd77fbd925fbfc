import { Link, useForm } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Media } from '../../learn/Media';
import { Prose } from '../../learn/Prose';
import { Quiz } from '../../learn/Quiz';
import { Related } from '../../learn/Related';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { LessonPage, PathRow } from '../../lib/generated/types';
import { plainText } from '../../lib/words';
import { CourseSide } from '../../learn/CourseSide';
import { LearnerShell } from '../../learn/LearnerShell';
import { LessonLine } from '../../learn/Path';
import { to } from '../../lib/route';
import { Button } from '../../ui/Plain';
import { say, saying } from '../../lib/say';
import css from '../../learn/learn.module.css';
import ui from '../../ui/ui.module.css';

export default function Lesson({ course, item, html, finish, media, quiz, watch, parts, before, after, next, related }: LessonPage) {
  const { standIn } = useShared();
  useTurns(course.turnsIn);
  const isEmpty = html === '' && media.length === 0 && quiz === null && parts.length === 0;
  return (
    <LearnerShell title={item.title} signIn={withQuery(to('sign-in'), { back: learnerAddress(course.key, item.key) })}>
      <div className={css.two}>
        <CourseSide course={course} here={item.key} />
        <article className={css.lesson} key={item.key}>
          <h1>{item.title}</h1>
          {isEmpty && <p className={clsx(ui.soft, css.soft)}>{say('lesson.empty')}</p>}
          <Prose html={html} />
          <Media media={media} watch={standIn === undefined ? watch : null} course={course.key} item={item.key} />
          {parts.length > 0 && (
            <section className={css.parts} aria-label={say('lesson.holds')}>
              {parts.map((part) => (
                <LessonLine key={part.key} course={course.key} row={part} />
              ))}
            </section>
          )}
          {quiz !== null && <Quiz quiz={quiz} course={course.key} item={item.key} />}
          <footer>
            <Finish course={course.key} item={item} finish={finish} hasVideo={watch !== null} hasQuiz={quiz !== null} />
            <Onward course={course.key} item={item} before={before} after={after} next={next} />
          </footer>
          <Related related={related} />
        </article>
      </div>
    </LearnerShell>
  );
}

interface FinishProps {
  course: string;
  item: PathRow;
  finish: string;
  hasVideo: boolean;
  hasQuiz: boolean;
}

function Finish({ course, item, finish, hasVideo, hasQuiz }: FinishProps) {
  const form = useForm({});
  const { standIn } = useShared();
  if (item.finished) {
    return <p className={css.did}>{plainText(item.status)}</p>;
  }
  switch (finish) {
    case 'mark':
      return (
        <Button loading={form.processing} disabled={standIn !== undefined} onClick={() => form.post(to('lesson.finish', { course, item: item.key }), { preserveScroll: true })}>
          {say('lesson.mark')}
        </Button>
      );
    case 'quiz':
      return <p className={clsx(ui.soft, css.soft)}>{say(hasQuiz ? 'lesson.by_quiz' : 'lesson.by_no_quiz')}</p>;
    case 'watch':
      return <p className={clsx(ui.soft, css.soft)}>{say(hasVideo ? 'lesson.by_video' : 'lesson.by_no_video')}</p>;
    default:
      return null;
  }
}

interface OnwardProps {
  course: string;
  item: PathRow;
  before: PathRow | null;
  after: PathRow | null;
  next: PathRow | null;
}

/** Back and on in reading order, and to what is to be done next where that is elsewhere. */
function Onward({ course, item, before, after, next }: OnwardProps) {
  const address = useLearnerAddress();
  const elsewhere = next !== null && next.key !== item.key && next.key !== after?.key && next.key !== before?.key;
  return (
    <nav className={css.onward} aria-label={say('lesson.onward')}>
      {after !== null && (
        <p>
          {saying(after.open ? 'lesson.next_is' : 'lesson.after_is', { item: <Link key="item" href={address(course, after.key)}>{after.title}</Link> })}
          {!after.open && <span className={clsx(css.st, after.later && css.later)}> {plainText(after.status)}</span>}
        </p>
      )}
      {elsewhere && (
        <p>
          {saying(next.look ? 'lesson.look_at' : 'lesson.next_for_you', { item: <Link key="item" href={address(course, next.key)}>{next.title}</Link> })}
        </p>
      )}
      {before !== null && (
        <p>
          {saying('lesson.before_is', { item: <Link key="item" href={address(course, before.key)}>{before.title}</Link> })}
        </p>
      )}
    </nav>
  );
}

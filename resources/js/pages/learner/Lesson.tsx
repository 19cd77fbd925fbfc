import { Link, useForm } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { Media } from '../../learn/Media';
import { Prose } from '../../learn/Prose';
import { Quiz } from '../../learn/Quiz';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress } from '../../lib/address';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { LessonPage, PathRow } from '../../lib/types';
import { plainText } from '../../lib/words';
import { CourseSide } from '../../ui/CourseSide';
import { LearnerShell } from '../../ui/LearnerShell';
import { LessonLine } from '../../ui/Path';

export default function Lesson({ course, item, html, finish, media, quiz, watch, parts, before, after, next }: LessonPage) {
  const { standIn } = useShared();
  useTurns(course.turnsIn);
  const isEmpty = html === '' && media.length === 0 && quiz === null && parts.length === 0;
  return (
    <LearnerShell title={item.title} signIn={`/sign-in?back=${encodeURIComponent(learnerAddress(course.key, item.key))}`}>
      <div className="two">
        <CourseSide course={course} here={item.key} />
        <article className="lesson" key={item.key}>
          <h1>{item.title}</h1>
          {isEmpty && <p className="soft">Nothing has been written here yet.</p>}
          <Prose html={html} />
          <Media media={media} watch={standIn === undefined ? watch : null} course={course.key} item={item.key} />
          {parts.length > 0 && (
            <section className="parts" aria-label="What it holds">
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
    return <p className="did">{plainText(item.status)}</p>;
  }
  switch (finish) {
    case 'mark':
      return (
        <Button size="md" loading={form.processing} disabled={standIn !== undefined} onClick={() => form.post(`${learnerAddress(course, item.key)}/finished`, { preserveScroll: true })}>
          Mark as finished
        </Button>
      );
    case 'quiz':
      return <p className="soft">{hasQuiz ? 'This lesson is finished by its quiz.' : 'This lesson is finished by a quiz, which is not there yet.'}</p>;
    case 'watch':
      return <p className="soft">{hasVideo ? 'This lesson is finished by watching its video.' : 'This lesson is finished by watching a video, which is not there yet.'}</p>;
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
    <nav className="onward" aria-label="Lessons before and after">
      {after !== null && (
        <p>
          {after.open ? 'Next' : 'After this'}: <Link href={address(course, after.key)}>{after.title}</Link>
          {!after.open && <span className={after.later ? 'st later' : 'st'}> {plainText(after.status)}</span>}
        </p>
      )}
      {elsewhere && (
        <p>
          {next.look ? 'Open to look at' : 'Next for you'}: <Link href={address(course, next.key)}>{next.title}</Link>
        </p>
      )}
      {before !== null && (
        <p>
          Before this: <Link href={address(course, before.key)}>{before.title}</Link>
        </p>
      )}
    </nav>
  );
}

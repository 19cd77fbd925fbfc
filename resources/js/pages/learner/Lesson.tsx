import { Link, useForm } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { learnerAddress } from '../../lib/address';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { LessonPage } from '../../lib/types';
import { plainText } from '../../lib/words';
import { CourseSide } from '../../ui/CourseSide';
import { LearnerShell } from '../../ui/LearnerShell';

export default function Lesson({ course, item, html, finish, next }: LessonPage) {
  const form = useForm({});
  const address = useLearnerAddress();
  const { standIn } = useShared();
  return (
    <LearnerShell title={item.title} signIn={`/sign-in?back=${encodeURIComponent(learnerAddress(course.key, item.key))}`}>
      <div className="two">
        <CourseSide course={course} here={item.key} />
        <article className="lesson">
          <h1>{item.title}</h1>
          {html === '' ? (
            <p className="soft">Nothing has been written here yet.</p>
          ) : (
            // Rendered from Markdown and sanitised by the server.
            // oxlint-disable-next-line react/no-danger
            <div className="prose" dangerouslySetInnerHTML={{ __html: html }} />
          )}
          <footer>
            {item.finished ? (
              <p className="did">{plainText(item.status)}</p>
            ) : (
              finish === 'mark' && (
                <Button
                  size="md"
                  loading={form.processing}
                  disabled={standIn !== undefined}
                  onClick={() => form.post(`${learnerAddress(course.key, item.key)}/finished`, { preserveScroll: true })}
                >
                  Mark as finished
                </Button>
              )
            )}
            {finish === 'quiz' && !item.finished && <p className="soft">This lesson is finished by its quiz.</p>}
            {finish === 'watch' && !item.finished && <p className="soft">This lesson is finished by watching its video.</p>}
            {next !== null && next.key !== item.key && (
              <p>
                Next: <Link href={address(course.key, next.key)}>{next.title}</Link>
              </p>
            )}
          </footer>
        </article>
      </div>
    </LearnerShell>
  );
}

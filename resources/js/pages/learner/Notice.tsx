import { Link } from '@inertiajs/react';
import { Button } from '@mantine/core';

import { useLearnerAddress, useShared } from '../../lib/page';
import type { NoticePage } from '../../lib/types';
import { plainText } from '../../lib/words';
import { CourseSide } from '../../ui/CourseSide';
import { LearnerShell } from '../../ui/LearnerShell';
import { Words } from '../../ui/Words';

export default function Notice({ course, item, glyph, heading, text, signIn, contactName, contactEmail, lookAt }: NoticePage) {
  const address = useLearnerAddress();
  const { standIn } = useShared();
  return (
    <LearnerShell title={plainText(heading)} signIn={signIn}>
      <div className="two">
        <CourseSide course={course} here={item} />
        <section className="notice">
          <div className={`wall wall-${glyph}`} aria-hidden>
            <i />
          </div>
          <h1>{plainText(heading)}</h1>
          <p className="notice-text">
            <Words segments={text.segments} />
          </p>
          {signIn !== null && (
            <p>
              {standIn === undefined ? (
                <Button component={Link} href={signIn} size="md">
                  Sign in
                </Button>
              ) : (
                <Button size="md" disabled>
                  Sign in
                </Button>
              )}
            </p>
          )}
          <ul className="or">
            {contactName !== null && contactEmail !== null && (
              <li>
                Not sure? <a href={`mailto:${contactEmail}`}>Ask {contactName} at the school</a>.
              </li>
            )}
            {lookAt !== null && (
              <li>
                Open to you now: <Link href={address(course.key, lookAt.key)}>{lookAt.title}</Link>
              </li>
            )}
          </ul>
        </section>
      </div>
    </LearnerShell>
  );
}

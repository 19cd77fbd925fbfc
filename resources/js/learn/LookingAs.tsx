import { router } from '@inertiajs/react';

import { useShared } from '../lib/page';
import type { CourseFrame } from '../lib/generated/types';
import { to } from '../lib/route';
import { say } from '../lib/say';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

/** Says where one looks not as oneself: as a guest, or with a learner. Nothing can be finished so. */
export function LookingAs({ course }: { course: CourseFrame }) {
  const { standIn } = useShared();
  return course.as === null ? null : (
    <p className={css.lookas}>
      {say('shell.looking', { as: course.as })}{' '}
      {course.guest && standIn === undefined && (
        <button type="button" className={ui.linklike} onClick={() => router.post(to('guest.leave', { course: course.key }))}>
          {say('shell.leave')}
        </button>
      )}
    </p>
  );
}

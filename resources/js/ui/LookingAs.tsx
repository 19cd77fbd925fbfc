import { router } from '@inertiajs/react';

import { learnerAddress } from '../lib/address';
import { useShared } from '../lib/page';
import type { CourseFrame } from '../lib/types';

/** Says where one looks not as oneself: as a guest, or with a learner. Nothing can be finished so. */
export function LookingAs({ course }: { course: CourseFrame }) {
  const { standIn } = useShared();
  return course.as === null ? null : (
    <p className="lookas">
      You look in {course.as}: to look, not to work.{' '}
      {course.as === 'as a guest' && standIn === undefined && (
        <button type="button" className="linklike" onClick={() => router.post(`${learnerAddress(course.key)}/leave`)}>
          Leave
        </button>
      )}
    </p>
  );
}

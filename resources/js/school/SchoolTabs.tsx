import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from '../ui/ui.module.css';

/** What holds for the whole school, page by page. */
export function SchoolTabs({ here }: { here: 'school' | 'staff' | 'labels' | 'kept' }) {
  return (
    <nav className={ui.tabs} aria-label={say('school.school.school')}>
      <Link href={to('keep.school')} aria-current={here === 'school' ? 'page' : undefined}>
        {say('school.school.settings')}
      </Link>
      <Link href={to('keep.staff')} aria-current={here === 'staff' ? 'page' : undefined}>
        {say('staff.title')}
      </Link>
      <Link href={to('keep.labels')} aria-current={here === 'labels' ? 'page' : undefined}>
        {say('labels.title')}
      </Link>
      <Link href={to('keep.kept')} aria-current={here === 'kept' ? 'page' : undefined}>
        {say('privacy.kept.title')}
      </Link>
    </nav>
  );
}

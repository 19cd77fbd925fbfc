import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from '../ui/ui.module.css';

/** What people are told: at closed doors, and by letter. */
export function ToldTabs({ here }: { here: 'doors' | 'shared' | 'letters' }) {
  return (
    <nav className={ui.tabs} aria-label={say('notices.tabs.title')}>
      <Link href={to('keep.notices')} aria-current={here === 'doors' ? 'page' : undefined}>
        {say('notices.tabs.doors')}
      </Link>
      <Link href={to('keep.shared-notices')} aria-current={here === 'shared' ? 'page' : undefined}>
        {say('notices.tabs.shared')}
      </Link>
      <Link href={to('keep.letters')} aria-current={here === 'letters' ? 'page' : undefined}>
        {say('notices.tabs.letters')}
      </Link>
    </nav>
  );
}

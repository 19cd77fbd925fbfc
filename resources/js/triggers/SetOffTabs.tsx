import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from '../ui/ui.module.css';

/** What is set off, and by what people themselves send. */
export function SetOffTabs({ here }: { here: 'triggers' | 'forms' }) {
  return (
    <nav className={ui.tabs} aria-label={say('setoff.tabs.title')}>
      <Link href={to('keep.triggers')} aria-current={here === 'triggers' ? 'page' : undefined}>
        {say('setoff.tabs.triggers')}
      </Link>
      <Link href={to('keep.forms')} aria-current={here === 'forms' ? 'page' : undefined}>
        {say('setoff.tabs.forms')}
      </Link>
    </nav>
  );
}

import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from '../ui/ui.module.css';

export type SetOffPlace = 'triggers' | 'forms' | 'outside' | 'tokens';

/** What is set off, by what people themselves send, and whom it tells elsewhere: that only whoever runs the school sees. */
export function SetOffTabs({ here, runs }: { here: SetOffPlace; runs: boolean }) {
  return (
    <nav className={ui.tabs} aria-label={say('setoff.tabs.title')}>
      <Link href={to('keep.triggers')} aria-current={here === 'triggers' ? 'page' : undefined}>
        {say('setoff.tabs.triggers')}
      </Link>
      <Link href={to('keep.forms')} aria-current={here === 'forms' ? 'page' : undefined}>
        {say('setoff.tabs.forms')}
      </Link>
      {runs && (
        <>
          <Link href={to('keep.outside')} aria-current={here === 'outside' ? 'page' : undefined}>
            {say('setoff.tabs.outside')}
          </Link>
          <Link href={to('keep.tokens')} aria-current={here === 'tokens' ? 'page' : undefined}>
            {say('setoff.tabs.tokens')}
          </Link>
        </>
      )}
    </nav>
  );
}

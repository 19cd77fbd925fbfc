import { Link } from '@inertiajs/react';

import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from './ui.module.css';

/** The stand-ins, each with what it has sent and received. */
export function OutboxTabs({ here }: { here: 'mail' | 'list' | 'shop' | 'messages' }) {
  return (
    <nav className={ui.tabs} aria-label={say('outbox.stand_ins')}>
      <Link href={to('keep.outbox')} aria-current={here === 'mail' ? 'page' : undefined}>
        {say('outbox.letters')}
      </Link>
      <Link href={to('keep.list')} aria-current={here === 'list' ? 'page' : undefined}>
        {say('outbox.contacts')}
      </Link>
      <Link href={to('keep.shop')} aria-current={here === 'shop' ? 'page' : undefined}>
        {say('outbox.shop')}
      </Link>
      <Link href={to('keep.messages')} aria-current={here === 'messages' ? 'page' : undefined}>
        {say('outbox.wire')}
      </Link>
    </nav>
  );
}

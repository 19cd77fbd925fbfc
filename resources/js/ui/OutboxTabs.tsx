import { Link } from '@inertiajs/react';

import { to } from '../lib/route';

/** The stand-ins, each with what it has sent and received. */
export function OutboxTabs({ here }: { here: 'mail' | 'shop' }) {
  return (
    <nav className="tabs" aria-label="Stand-ins">
      <Link href={to('keep.outbox')} aria-current={here === 'mail' ? 'page' : undefined}>
        Letters
      </Link>
      <Link href={to('keep.shop')} aria-current={here === 'shop' ? 'page' : undefined}>
        Shop
      </Link>
    </nav>
  );
}

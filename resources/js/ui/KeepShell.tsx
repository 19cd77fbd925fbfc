import { Head, Link, router, usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';

import { Mark } from '../glyphs/Arch';
import { useShared } from '../lib/page';
import { FlashNote } from './FlashNote';

export interface KeepShellProps {
  title: string;
  children: ReactNode;
}

const PLACES: { href: string; title: string; run?: boolean }[] = [
  { href: '/keep/courses', title: 'Courses' },
  { href: '/keep/people', title: 'People' },
  { href: '/keep/offers', title: 'Offers' },
  { href: '/keep/notices', title: 'Notices' },
  { href: '/keep/outbox', title: 'Outbox', run: true },
  { href: '/keep/school', title: 'School' },
];

/** The frame of the administrator's side. */
export function KeepShell({ title, children }: KeepShellProps) {
  const { school, signedIn } = useShared();
  const { url } = usePage();
  return (
    <div className="keep">
      <Head title={title} />
      <header className="top">
        <Link href="/keep/courses" className="brand">
          <Mark /> Silent Keep
        </Link>
        <nav aria-label="Main">
          <ul className="nav">
            {PLACES.filter(({ run }) => run !== true || signedIn?.runs === true).map(({ href, title: place }) => (
              <li key={href}>
                <Link href={href} aria-current={url.startsWith(href) ? 'page' : undefined}>
                  {place}
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        <p className="who">
          <b>{school.name}</b>, {school.zoneName} · <Link href="/account">{signedIn?.name}</Link> ·{' '}
          <button type="button" className="linklike" onClick={() => router.post('/sign-out')}>
            Sign out
          </button>
        </p>
      </header>
      <FlashNote />
      {children}
    </div>
  );
}

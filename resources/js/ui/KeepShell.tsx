import { Head, Link, router, usePage } from '@inertiajs/react';
import type { ReactNode } from 'react';

import { Mark } from './Arch';
import { useShared } from '../lib/page';
import { FlashNote } from './FlashNote';
import { to } from '../lib/route';

export interface KeepShellProps {
  title: string;
  children: ReactNode;
}

const PLACES: { href: string; title: string; run?: boolean }[] = [
  { href: to('keep.courses'), title: 'Courses' },
  { href: to('keep.people.list'), title: 'People' },
  { href: to('keep.offers'), title: 'Offers' },
  { href: to('keep.notices'), title: 'Notices' },
  { href: to('keep.outbox'), title: 'Outbox', run: true },
  { href: to('keep.school'), title: 'School' },
];

/** The frame of the administrator's side. */
export function KeepShell({ title, children }: KeepShellProps) {
  const { school, signedIn } = useShared();
  const { url } = usePage();
  return (
    <div className="keep">
      <Head title={title} />
      <header className="top">
        <Link href={to('keep.courses')} className="brand">
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
          <b>{school.name}</b>, {school.zoneName} · <Link href={to('account')}>{signedIn?.name}</Link> ·{' '}
          <button type="button" className="linklike" onClick={() => router.post(to('sign-out'))}>
            Sign out
          </button>
        </p>
      </header>
      <FlashNote />
      {children}
    </div>
  );
}

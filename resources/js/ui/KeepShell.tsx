import { Head, Link, router } from '@inertiajs/react';
import type { ReactNode } from 'react';

import { Mark } from '../glyphs/Arch';
import { useShared } from '../lib/page';
import { FlashNote } from './FlashNote';

export interface KeepShellProps {
  title: string;
  children: ReactNode;
}

/** The frame of the administrator's side. */
export function KeepShell({ title, children }: KeepShellProps) {
  const { school, signedIn } = useShared();
  return (
    <div className="keep">
      <Head title={title} />
      <header className="top">
        <Link href="/keep/courses" className="brand">
          <Mark /> Silent Keep
        </Link>
        <nav aria-label="Main">
          <ul className="nav">
            <li>
              <Link href="/keep/courses" aria-current="page">
                Courses
              </Link>
            </li>
          </ul>
        </nav>
        <p className="who">
          <b>{school.name}</b>, {school.zoneName} · {signedIn?.name}{' '}
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

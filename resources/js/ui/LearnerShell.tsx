import { Head, Link, router } from '@inertiajs/react';
import type { ReactNode } from 'react';

import { useShared } from '../lib/page';
import { FlashNote } from './FlashNote';

export interface LearnerShellProps {
  title: string;
  /** Where to sign in and come back, on pages that visitors meet. */
  signIn?: string | null;
  children: ReactNode;
}

/** The frame of the learner's side: the school's own, airier face. */
export function LearnerShell({ title, signIn = '/sign-in', children }: LearnerShellProps) {
  const { school, signedIn, standIn } = useShared();
  if (standIn !== undefined) {
    return (
      <div className="learn standing">
        <Head title={`${title} (stand-in)`} />
        <p className="standin-strip">
          Stand-in for {standIn.name}, {standIn.atWords}. Nothing here counts.
        </p>
        <header className="ltop">
          <div className="lwide">
            <span className="lname">{school.name}</span>
            <p>{standIn.signedIn ? 'Signed in' : 'Not signed in'}</p>
          </div>
        </header>
        <main className="lwide">{children}</main>
      </div>
    );
  }
  return (
    <div className="learn">
      <Head title={title} />
      <header className="ltop">
        <div className="lwide">
          <Link href="/" className="lname">
            {school.name}
          </Link>
          {signedIn !== null && <Link href="/courses">My courses</Link>}
          <p>
            {signedIn === null ? (
              <Link href={signIn ?? '/sign-in'}>Sign in</Link>
            ) : (
              <>
                Signed in as{' '}
                <Link href="/account">
                  <b>{signedIn.name}</b>
                </Link>{' '}
                ·{' '}
                <button type="button" className="linklike" onClick={() => router.post('/sign-out')}>
                  Sign out
                </button>
              </>
            )}
          </p>
        </div>
      </header>
      <FlashNote />
      <main className="lwide">{children}</main>
    </div>
  );
}

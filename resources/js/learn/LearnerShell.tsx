import { Link, router } from '@inertiajs/react';
import { useState, type ReactNode } from 'react';
import { clsx } from 'clsx';

import type { Looking } from '../lib/generated/types';
import { useShared } from '../lib/page';
import { FlashNote } from '../ui/FlashNote';
import { to } from '../lib/route';
import { say, saying } from '../lib/say';
import { mustTellZone } from '../lib/time';
import { Title } from './Title';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

export interface LearnerShellProps {
  title: string;
  /** Where to sign in and come back, on pages that visitors meet. */
  signIn?: string | null;
  children: ReactNode;
}

/** The frame of the learner's side: the school's own, airier face. */
export function LearnerShell({ title, signIn = to('sign-in'), children }: LearnerShellProps) {
  const { school, signedIn, standIn, looking } = useShared();
  if (standIn !== undefined) {
    return (
      <div className={ui.learn}>
        <Title of={say('shell.stand_in_title', { title })} />
        <aside className={ui['standin-strip']}>
          {say('shell.stand_in', { name: standIn.name, at: standIn.atWords })}
        </aside>
        <header className={css.ltop}>
          <div className={css.lwide}>
            <span className={css.lname}>{school.name}</span>
            <p>{say(standIn.signedIn ? 'shell.signed_in' : 'shell.not_signed_in')}</p>
          </div>
        </header>
        <main className={css.lwide}>{children}</main>
      </div>
    );
  }
  return (
    <div className={ui.learn}>
      <Title of={title} />
      <a href="#main" className={css.skip}>
        {say('shell.skip')}
      </a>
      <header className={css.ltop}>
        <div className={css.lwide}>
          <Link href={to('home')} className={css.lname}>
            {school.name}
          </Link>
          {signedIn !== null && (signedIn.staff ? <a href={to('keep.courses')}>{say('shell.run')}</a> : <Link href={to('courses')}>{say('shell.mine')}</Link>)}
          {looking !== undefined && looking !== null && <Switcher looking={looking} />}
          <p>
            {signedIn === null ? (
              <Link href={signIn ?? to('sign-in')}>{say('sign_in')}</Link>
            ) : (
              <>
                {saying('shell.signed_in_as', {
                  name: (
                    <Link key="name" href={to('account')}>
                      <b>{signedIn.name}</b>
                    </Link>
                  ),
                })}{' '}
                ·{' '}
                <button type="button" className={ui.linklike} onClick={() => router.post(to('sign-out'))}>
                  {say('shell.sign_out')}
                </button>
              </>
            )}
          </p>
        </div>
      </header>
      <FlashNote />
      <main className={css.lwide} id="main" tabIndex={-1}>
        <WhoseTime />
        {children}
      </main>
      {signedIn === null && <Languages />}
    </div>
  );
}

/** Whoever has an account chooses there. */
function Languages() {
  return (
    <footer className={clsx(css.lwide, css.lfoot)}>
      {([['en', say('account.language_en')], ['nb', say('account.language_nb')]] as const).map(([language, name]) => (
        <button key={language} type="button" lang={language} aria-pressed={document.documentElement.lang === language} onClick={() => router.post(to('language'), { language }, { preserveScroll: true })}>
          {name}
        </button>
      ))}
    </footer>
  );
}

/** Told where the reader's own clock shows another time than the school's. */
function WhoseTime() {
  const { school } = useShared();
  const [tell] = useState(() => mustTellZone(school.zone, school.knowsReader));
  return !tell ? null : <p className={css.zonenote}>{say('shell.zone', { zone: school.zoneName })}</p>;
}

/** With whom an observer looks, on every page. */
function Switcher({ looking }: { looking: Looking }) {
  return (
    <label className={css.lookwith}>
      <span>{say('mine.look')}</span>
      <select aria-label={say('mine.whom')} value={looking.observed ?? 0} onChange={(event) => router.post(to('look-with'), { learner: Number(event.currentTarget.value) }, { preserveScroll: true })}>
        <option value={0}>{say('mine.yourself')}</option>
        {looking.learners.map(({ id, name }) => (
          <option key={id} value={id}>
            {say('mine.with', { name })}
          </option>
        ))}
      </select>
    </label>
  );
}

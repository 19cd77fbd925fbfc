import { Head, Link, router, usePage } from '@inertiajs/react';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { say } from '../lib/keepSay';
import { useShortcuts } from '../lib/shortcuts';

import { Mark } from './Arch';
import { useShared } from '../lib/page';
import { FlashNote } from './FlashNote';
import { to } from '../lib/route';
import ui from './ui.module.css';

const FindOrDo = lazy(async () => ({ default: (await import('../find/FindOrDo')).FindOrDo }));
const KeysDialog = lazy(async () => ({ default: (await import('./KeysDialog')).KeysDialog }));

export interface KeepShellProps {
  title: string;
  /** Whether it is the screen of a course, which has keys of its own. */
  course?: boolean;
  children: ReactNode;
}

/** Where one may go: who edits some courses to these, who runs the school everywhere, all others but to what it takes to run it. */
const PLACES: { href: string; title: string; run?: boolean; edit?: boolean }[] = [
  { href: to('keep.today'), title: say('keep.keep_shell.today'), edit: true },
  { href: to('keep.courses'), title: say('keep.keep_shell.courses'), edit: true },
  { href: to('keep.people.list'), title: say('keep.people') },
  { href: to('keep.offers'), title: say('keep.offers') },
  { href: to('keep.notices'), title: say('keep.keep_shell.notices') },
  { href: to('keep.triggers'), title: say('keep.keep_shell.triggers') },
  { href: to('keep.outbox'), title: say('keep.keep_shell.outbox'), run: true },
  { href: to('keep.school'), title: say('keep.keep_shell.school') },
];

/** Past what stands on every page: into the grid, at the cell where one was, where there is one. */
function toThePage() {
  const main = document.querySelector('main');
  const cell = main?.querySelector<HTMLElement>('[data-cell][tabindex="0"]') ?? null;
  main?.setAttribute('tabindex', '-1');
  (cell ?? main)?.focus();
}

/** The frame of the administrator's side. */
export function KeepShell({ title, course = false, children }: KeepShellProps) {
  const { school, signedIn } = useShared();
  const { url } = usePage();
  const edits = signedIn?.role === 'editor';
  const [keys, setKeys] = useState(false);
  const [finds, setFinds] = useState(false);
  useShortcuts({ '?': () => setKeys(true), 'ctrl+k': () => setFinds(true) });
  return (
    <div className={ui.keep}>
      <Head title={title} />
      <button type="button" className={ui.skip} onClick={toThePage}>
        {say('keep.keep_shell.skip')}
      </button>
      <header className={ui.top}>
        <Link href={to('keep.today')} className={ui.brand}>
          <Mark /> {say('keep.product')}
        </Link>
        <nav aria-label={say('keep.keep_shell.main')}>
          <ul className={ui.nav}>
            {PLACES.filter(({ run, edit }) => (edits ? edit === true : run !== true || signedIn?.runs === true)).map(({ href, title: place }) => (
              <li key={href}>
                <Link href={href} aria-current={url.startsWith(href) ? 'page' : undefined}>
                  {place}
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        <p className={ui.who}>
          <span className={ui.whose}>
            <b>{school.name}</b>, {school.zoneName}
          </span>{' '}
          · <Link href={to('account')}>{signedIn?.name}</Link> ·{' '}
          <button type="button" className={ui.linklike} onClick={() => router.post(to('sign-out'))}>
            {say('keep.keep_shell.sign_out')}
          </button>{' '}
          · <kbd>{say('keep.keys.ctrl_k')}</kbd>{' '}
          <button type="button" className={ui.linklike} aria-keyshortcuts="Control+K" onClick={() => setFinds(true)}>
            {say('keep.find.somebody')}
          </button>{' '}
          · <Link href={to('keep.guide')}>{say('keep.keep_shell.guide')}</Link> · <kbd>{say('keep.keys.question')}</kbd>{' '}
          <button type="button" className={ui.linklike} aria-keyshortcuts="?" onClick={() => setKeys(true)}>
            {say('keys.keys')}
          </button>
        </p>
      </header>
      <Suspense>
        {finds && <FindOrDo onClose={() => setFinds(false)} />}
        {keys && <KeysDialog course={course} onClose={() => setKeys(false)} />}
      </Suspense>
      <FlashNote />
      {children}
    </div>
  );
}

/** What a page is about, above what it is made of. */
export function PageHead({ children }: { children: ReactNode }) {
  return (
    <section className={ui.head} aria-label={say('keep.keep_shell.about')}>
      {children}
    </section>
  );
}

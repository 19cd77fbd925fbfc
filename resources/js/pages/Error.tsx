import { Link } from '@inertiajs/react';

import { Ask } from '../learn/Ask';
import { Title } from '../learn/Title';
import { Arch } from '../ui/Arch';
import { useShared } from '../lib/page';
import { to } from '../lib/route';
import { say } from '../lib/say';
import ui from '../ui/ui.module.css';

/** What there are words of its own for. */
const STATUSES = [403, 404, 413, 422, 429, 500, 503] as const;

/** Where the same status has another reason. */
const REASONS = { 'not begun': 'not_begun', busy: 'busy', full: 'full', 'guest link': 'guest_link', 'guest hidden': 'guest_hidden' } as const;

interface ErrorProps {
  status: number;
  why: string | null;
  /** Whom to ask, where that is the next step. */
  contact?: { name: string; email: string } | null;
}

export default function ErrorPage({ status, why, contact = null }: ErrorProps) {
  const { standIn } = useShared();
  const what = why !== null && why in REASONS ? REASONS[why as keyof typeof REASONS] : (STATUSES.find((one) => one === status) ?? 'otherwise');
  const heading = say(`error.${what}`);
  return (
    <div className={ui.signin}>
      <Title of={heading} />
      {standIn !== undefined && (
        <aside className={ui['standin-strip']}>
          {say('shell.stand_in_told', { name: standIn.name, at: standIn.atWords })}
        </aside>
      )}
      <main className={ui.errorpage}>
        <Arch glyph="hidden" size={54} silent />
        <h1>{heading}</h1>
        <p>{say(`error.${what}_text`)}</p>
        {contact !== null && <Ask name={contact.name} email={contact.email} as="notice" />}
        {standIn === undefined && why !== 'not begun' && (
          <p>
            <Link href={to('home')}>{say('error.home')}</Link>
          </p>
        )}
      </main>
    </div>
  );
}

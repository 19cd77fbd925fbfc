import { Link } from '@inertiajs/react';

import type { OutboxPage } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { to } from '../../lib/route';
import { withQuery } from '../../lib/address';

export default function Outbox({ letters, total, page, pages }: OutboxPage) {
  return (
    <KeepShell title="Outbox">
      <main className="plainpage">
        <h1>Outbox</h1>
        <OutboxTabs here="mail" />
        {total === 0 ? (
          <div className="empty">
            <p>
              <b>No letter has gone out yet.</b> What the school writes to people is laid out here instead of being mailed: sign-in links, warnings before a trial ends, and what is
              written by hand.
            </p>
          </div>
        ) : (
          <>
            <p className="soft">{counted(total, 'letter')}, the latest first. They stand here instead of being mailed.</p>
            <ul className="letters">
              {letters.map((letter) => (
                <li key={letter.id}>
                  <details>
                    <summary>
                      <b>{letter.subject}</b>
                      <span>
                        to {letter.to} · {letter.when}
                      </span>
                    </summary>
                    <pre>{letter.body}</pre>
                    {letter.person !== null && <Link href={to('keep.person', { person: letter.person })}>Their page</Link>}
                  </details>
                </li>
              ))}
            </ul>
            {pages > 1 && (
              <nav className="pages" aria-label="Pages">
                {page > 1 && <Link href={withQuery(to('keep.outbox'), { page: page - 1 })}>Before</Link>}
                <span>
                  Page {page} of {pages}
                </span>
                {page < pages && <Link href={withQuery(to('keep.outbox'), { page: page + 1 })}>Next</Link>}
              </nav>
            )}
          </>
        )}
      </main>
    </KeepShell>
  );
}

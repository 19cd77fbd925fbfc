import { Link, router } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { clsx } from 'clsx';

import type { OutboxPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { Pager } from '../../ui/Pager';
import { to } from '../../lib/route';
import { withQuery } from '../../lib/address';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

export default function Outbox({ letters, total, page, pages }: OutboxPage) {
  return (
    <KeepShell title={say('outbox.title')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('outbox.title')}</h1>
        <OutboxTabs here="mail" />
        {total === 0 ? (
          <div className={ui.empty}>
            <p>
              <b>{say('outbox.mail.none')}</b> {say('outbox.mail.none_told')}
            </p>
          </div>
        ) : (
          <>
            <p className={ui.soft}>{say('outbox.mail.told', { count: total })}</p>
            <ul className={css.letters}>
              {letters.map((letter) => (
                <li key={letter.id}>
                  <details>
                    <summary>
                      <b>{letter.subject}</b>
                      <span>
                        {say('outbox.mail.to', { to: letter.to, when: letter.when })}
                        {letter.state !== 'sent' && <b className={letter.state === 'failed' ? ui.wrongly : undefined}> · {say('outbox.mail.state', { state: letter.state })}</b>}
                      </span>
                    </summary>
                    {letter.problem !== null && <p className={ui.wrongly}>{say('outbox.mail.problem', { problem: letter.problem })}</p>}
                    <pre>{letter.body}</pre>
                    {letter.state === 'failed' && (
                      <Button size="xs" variant="default" onClick={() => router.post(to('keep.letters.again', { message: letter.id }), {}, { preserveScroll: true })}>
                        {say('outbox.mail.again')}
                      </Button>
                    )}
                    {letter.person !== null && <Link href={to('keep.person', { person: letter.person })}>{say('outbox.mail.person')}</Link>}
                  </details>
                </li>
              ))}
            </ul>
            <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.outbox'), { page: at })} />
          </>
        )}
      </main>
    </KeepShell>
  );
}

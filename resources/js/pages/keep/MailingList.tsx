import { Link, router } from '@inertiajs/react';
import { Select } from '@mantine/core';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { MailingListPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { Pager } from '../../ui/Pager';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

/** What the stand-in for a mailing list holds. */
export default function MailingList({ contacts, labels, label, total, page, pages }: MailingListPage) {
  const of = (more: Record<string, string | number> = {}): Record<string, string | number> => ({ ...(label === null ? {} : { label }), ...more });
  return (
    <KeepShell title={say('outbox.contacts')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('outbox.title')}</h1>
        <OutboxTabs here="list" />
        {labels.length === 0 ? (
          <div className={ui.empty}>
            <p>
              <b>{say('outbox.list.none')}</b> {say('outbox.list.none_told')}
            </p>
          </div>
        ) : (
          <>
            <div className={css.shopfind}>
              <Select label={say('outbox.list.label')} data={[{ value: '', label: say('outbox.list.all') }, ...labels]} value={label ?? ''} allowDeselect={false} searchable onChange={(chosen) => router.get(withQuery(to('keep.list'), chosen === null || chosen === '' ? {} : { label: chosen }))} />
              <a href={withQuery(to('keep.list.csv'), of())}>{say('outbox.list.csv')}</a>
            </div>
            <p className={ui.soft}>{say('outbox.list.told', { count: total })}</p>
            <div className={css.scrollx}>
              <table className={ui.list}>
                <caption className={ui.vh}>{say('outbox.list.caption')}</caption>
                <thead>
                  <tr>
                    <th scope="col">{say('outbox.list.name')}</th>
                    <th scope="col">{say('outbox.list.email')}</th>
                    <th scope="col">{say('outbox.list.labels')}</th>
                    <th scope="col">{say('outbox.list.since')}</th>
                    <th scope="col">{say('outbox.list.source')}</th>
                  </tr>
                </thead>
                <tbody>
                  {contacts.map((one) => (
                    <tr key={one.person}>
                      <th scope="row">
                        <Link href={to('keep.person', { person: one.person })}>{one.name}</Link>
                      </th>
                      <td>{one.email}</td>
                      <td>{one.labels.join(', ')}</td>
                      <td>{one.since}</td>
                      <td>{one.source}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.list'), of({ page: at }))} />
          </>
        )}
      </main>
    </KeepShell>
  );
}

import { Link, router } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { PurchaseRow, ShopPage } from '../../lib/generated/types';
import { to } from '../../lib/route';
import { uuid } from '../../lib/uuid';
import { say, saying } from '../../lib/keepSay';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';
import { Pager } from '../../ui/Pager';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

/** What the stand-in for a shop has sold. Each act is an event as a real shop would send it. */
export default function ShopBook({ purchases, events, told, total, page, pages, find }: ShopPage) {
  return (
    <KeepShell title={say('outbox.shop')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('outbox.title')}</h1>
        <OutboxTabs here="shop" />
        {(total > 0 || find !== null) && (
          <form className={css.shopfind} role="search" onSubmit={(event) => search(event)}>
            <TextInput name="find" aria-label={say('outbox.sold.find_label')} placeholder={say('outbox.sold.find_hint')} defaultValue={find ?? ''} maxLength={200} />
            <Button type="submit" variant="default">
              {say('outbox.sold.find')}
            </Button>
            {find !== null && <Link href={to('keep.shop')}>{say('outbox.sold.everybody')}</Link>}
          </form>
        )}
        {total === 0 && find !== null ? (
          <div className={ui.empty}>
            <p>{say('outbox.sold.nobody', { find })}</p>
          </div>
        ) : total === 0 ? (
          <div className={ui.empty}>
            <p>
              <b>{say('outbox.sold.none')}</b> {say('outbox.sold.none_told')}
            </p>
          </div>
        ) : (
          <>
            <p className={ui.soft}>{say('outbox.sold.told', { count: total })}</p>
            <div className={css.scrollx}>
              <table className={ui.list}>
                <caption className={ui.vh}>{say('outbox.sold.caption')}</caption>
                <thead>
                  <tr>
                    <th scope="col">{say('outbox.sold.what')}</th>
                    <th scope="col">{say('outbox.sold.who')}</th>
                    <th scope="col">{say('outbox.sold.when')}</th>
                    <th scope="col">{say('outbox.sold.price')}</th>
                    <th scope="col">{say('outbox.sold.standing')}</th>
                    <th scope="col">
                      <span className={ui.vh}>{say('outbox.sold.acts')}</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {purchases.map((purchase) => (
                    <Purchase key={purchase.id} purchase={purchase} />
                  ))}
                </tbody>
              </table>
            </div>
            <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.shop'), { ...(find === null ? {} : { find }), page: at })} />
          </>
        )}
        {events.length > 0 && (
          <section className={css.shoptold} aria-label={say('outbox.events.title')}>
            <h2>{say('outbox.events.title')}</h2>
            <p className={ui.soft}>{told > events.length ? say('outbox.events.some', { shown: events.length, count: told }) : say('outbox.events.all', { count: told })}</p>
            <ul className={css.shopevents}>
              {events.map((event) => (
                <li key={event.id}>
                  <span>{event.when}</span> <b>{event.told}</b> <span>{event.did}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </KeepShell>
  );
}

function search(event: FormEvent<HTMLFormElement>) {
  event.preventDefault();
  const find = new FormData(event.currentTarget).get('find');
  router.get(to('keep.shop'), typeof find === 'string' && find.trim() !== '' ? { find } : {});
}

function Purchase({ purchase }: { purchase: PurchaseRow }) {
  const tell = (kind: string, payment: number | null) =>
    router.post(to('keep.shop.tell', { purchase: purchase.id }), { event: uuid(), kind, payment }, { preserveScroll: true, preserveState: true });
  return (
    <tr>
      <th scope="row">
        {purchase.what}
        <span>{purchase.passes.join('; ')}</span>
      </th>
      <td>
        <Link href={to('keep.person', { person: purchase.person })}>{purchase.personName}</Link>
      </td>
      <td>{purchase.when}</td>
      <td>{purchase.paid}</td>
      <td>{purchase.standing}</td>
      <td className={css.rowacts}>
        {purchase.next !== null && (
          <>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => tell('payment', purchase.next)}>
              {say('outbox.sold.payment', { number: purchase.next })}
            </button>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => tell('missed', purchase.next)}>
              {say('outbox.sold.missed')}
            </button>
          </>
        )}
        {purchase.refundable && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => tell('refund', null)}>
            {saying('outbox.sold.refund', {
              what: (
                <span key="what" className={ui.vh}>
                  {say('outbox.sold.refund_of', { what: purchase.what, person: purchase.personName })}
                </span>
              ),
            })}
          </button>
        )}
      </td>
    </tr>
  );
}

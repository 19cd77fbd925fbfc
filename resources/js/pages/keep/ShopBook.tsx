import { Link, router } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import { withQuery } from '../../lib/address';
import type { PurchaseRow, ShopPage } from '../../lib/generated/types';
import { to } from '../../lib/route';
import { uuid } from '../../lib/uuid';
import { counted } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { OutboxTabs } from '../../ui/OutboxTabs';

/** What the stand-in for a shop has sold. Each act is an event as a real shop would send it. */
export default function ShopBook({ purchases, events, told, total, page, pages, find }: ShopPage) {
  return (
    <KeepShell title="Shop">
      <main className="plainpage">
        <h1>Outbox</h1>
        <OutboxTabs here="shop" />
        {(total > 0 || find !== null) && (
          <form className="shopfind" role="search" onSubmit={(event) => search(event)}>
            <TextInput name="find" aria-label="Whose purchases: name or e-mail" placeholder="Name or e-mail" defaultValue={find ?? ''} maxLength={200} />
            <Button type="submit" variant="default">
              Find
            </Button>
            {find !== null && <Link href={to('keep.shop')}>Everybody’s</Link>}
          </form>
        )}
        {total === 0 && find !== null ? (
          <div className="empty">
            <p>Nobody whose name or address has “{find}” in it has bought anything.</p>
          </div>
        ) : total === 0 ? (
          <div className="empty">
            <p>
              <b>Nothing has been bought yet.</b> What people buy or claim at a checkout stands here, and the stand-in shop can play what comes afterwards: the next payment of a membership, one
              that does not come, a refund.
            </p>
          </div>
        ) : (
          <>
            <p className="soft">{counted(total, 'purchase')}, the latest first. No money moves: what a shop would tell is played here.</p>
            <div className="scrollx">
              <table className="list">
                <caption className="vh">What was bought or claimed</caption>
                <thead>
                  <tr>
                    <th scope="col">What</th>
                    <th scope="col">Who</th>
                    <th scope="col">When</th>
                    <th scope="col">Price</th>
                    <th scope="col">Standing</th>
                    <th scope="col">
                      <span className="vh">What the shop can tell</span>
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
            {pages > 1 && (
              <nav className="pages" aria-label="Pages">
                {page > 1 && <Link href={withQuery(to('keep.shop'), { ...(find === null ? {} : { find }), page: page - 1 })}>Before</Link>}
                <span>
                  Page {page} of {pages}
                </span>
                {page < pages && <Link href={withQuery(to('keep.shop'), { ...(find === null ? {} : { find }), page: page + 1 })}>Next</Link>}
              </nav>
            )}
          </>
        )}
        {events.length > 0 && (
          <section aria-label="What the shop has told">
            <h2>What the shop has told</h2>
            <p className="soft">{told > events.length ? `The latest ${events.length} of ${told} events.` : `${counted(told, 'event')}, the latest first.`}</p>
            <ul className="shopevents">
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
      <td className="rowacts">
        {purchase.next !== null && (
          <>
            <button type="button" className="linklike" onClick={() => tell('payment', purchase.next)}>
              Payment {purchase.next} comes
            </button>
            <button type="button" className="linklike" onClick={() => tell('missed', purchase.next)}>
              It does not
            </button>
          </>
        )}
        {purchase.refundable && (
          <button type="button" className="linklike" onClick={() => tell('refund', null)}>
            Refund<span className="vh"> {purchase.what} of {purchase.personName}</span>
          </button>
        )}
      </td>
    </tr>
  );
}

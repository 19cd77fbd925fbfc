import { Link } from '@inertiajs/react';

import { useShared } from '../lib/page';
import type { OfferCard } from '../lib/generated/types';
import { say } from '../lib/say';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

function verb({ as, free, price }: OfferCard): string {
  switch (as) {
    case 'renewal':
      return say('shop.renewal', { price });
    case 'bundle':
      return say('shop.bundle', { price });
    case 'upgrade':
      return say('shop.upgrade', { price });
    default:
      return free ? say('shop.claim') : say('shop.buy', { price });
  }
}

/** In a place where the price stands beside it. */
export function takes({ free }: OfferCard): string {
  return say(free ? 'shop.claim' : 'course.take');
}

/** Offers that really open something, with their prices. */
export function OfferCards({ offers }: { offers: OfferCard[] }) {
  const { standIn } = useShared();
  return (
    <ul className={css.offercards}>
      {offers.map((offer) => (
        <li key={offer.key}>
          <b>{offer.name}</b>
          <span>{offer.detail}</span>
          {standIn === undefined ? (
            <Link href={offer.href}>
              {verb(offer)}
              <span className={ui.vh}>: {offer.name}</span>
            </Link>
          ) : (
            <em>{offer.price}</em>
          )}
        </li>
      ))}
    </ul>
  );
}

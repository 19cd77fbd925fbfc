import { Link } from '@inertiajs/react';

import { useShared } from '../lib/page';
import type { OfferCard } from '../lib/generated/types';
import { say } from '../lib/say';

/** Offers that really open something, with their prices. */
export function OfferCards({ offers }: { offers: OfferCard[] }) {
  const { standIn } = useShared();
  return (
    <ul className="offercards">
      {offers.map((offer) => (
        <li key={offer.key}>
          <b>{offer.name}</b>
          <span>{offer.detail}</span>
          {standIn === undefined ? (
            <Link href={offer.href}>
              {say(`shop.${offer.as === 'pass' ? (offer.free ? 'claim' : 'buy') : offer.as}`, { price: offer.price })}
              <span className="vh">: {offer.name}</span>
            </Link>
          ) : (
            <em>{offer.price}</em>
          )}
        </li>
      ))}
    </ul>
  );
}

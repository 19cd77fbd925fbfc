import { router } from '@inertiajs/react';

import type { BundleRow } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { to } from '../lib/route';

function drop(bundle: BundleRow): void {
  router.delete(to('keep.bundles.drop', { bundle: bundle.id }), { preserveScroll: true, preserveState: true });
}

export interface BundlesProps {
  bundles: BundleRow[];
  mayRun: boolean;
  /** Null: a new one. */
  onChange: (bundle: BundleRow | null) => void;
}

/** Several offers at one price. */
export function Bundles({ bundles, mayRun, onChange }: BundlesProps) {
  return (
    <section className="offersof" id="bundles">
      <div className="secthead">
        <h2>{say('offers.bundles.bundles')}</h2>
        {mayRun && (
          <button type="button" className="linklike" onClick={() => onChange(null)}>
            {say('offers.bundles.new_bundle')}
          </button>
        )}
      </div>
      {bundles.length === 0 ? (
        <p className="soft">{say('offers.bundles.none_yet_bundle_sells')}</p>
      ) : (
        <div className="scrollx">
          <table className="list matrix">
            <caption className="vh">{say('offers.bundles.what_each_bundle_gives')}</caption>
            <thead>
              <tr>
                <th scope="col">{say('offers.bundles.bundle')}</th>
                <th scope="col">{say('keep.price')}</th>
                <th scope="col">{say('keep.offers')}</th>
                <th scope="col" className="num">
                  {say('offers.bundles.bought')}
                </th>
                {mayRun && (
                  <th scope="col">
                    <span className="vh">{say('offers.bundles.what_can_be_done')}</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {bundles.map((bundle) => (
                <tr key={bundle.id}>
                  <th scope="row">{bundle.name}</th>
                  <td>{bundle.priceWords}</td>
                  <td>{bundle.names.join(', ')}</td>
                  <td className="num">{bundle.bought}</td>
                  {mayRun && (
                    <td className="rowacts">
                      <button type="button" className="linklike" onClick={() => onChange(bundle)}>
                        {saying('offers.bundles.change', { what: <span className="vh">{bundle.name}</span> })}
                      </button>
                      <button type="button" className="linklike" onClick={() => drop(bundle)}>
                        {saying('offers.bundles.drop', { what: <span className="vh">{bundle.name}</span> })}
                      </button>
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

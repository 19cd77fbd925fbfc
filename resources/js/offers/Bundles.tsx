import { router } from '@inertiajs/react';

import type { BundleRow } from '../lib/generated/types';
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
        <h2>Bundles</h2>
        {mayRun && (
          <button type="button" className="linklike" onClick={() => onChange(null)}>
            New bundle…
          </button>
        )}
      </div>
      {bundles.length === 0 ? (
        <p className="soft">None yet. A bundle sells several offers at one price, once or as a membership, and gives all their passes in one step.</p>
      ) : (
        <div className="scrollx">
          <table className="list matrix">
            <caption className="vh">What each bundle gives</caption>
            <thead>
              <tr>
                <th scope="col">Bundle</th>
                <th scope="col">Price</th>
                <th scope="col">Offers</th>
                <th scope="col" className="num">
                  Bought
                </th>
                {mayRun && (
                  <th scope="col">
                    <span className="vh">What can be done</span>
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
                        Change<span className="vh"> {bundle.name}</span>
                      </button>
                      <button type="button" className="linklike" onClick={() => drop(bundle)}>
                        Drop<span className="vh"> {bundle.name}</span>
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

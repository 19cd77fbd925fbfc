import { router } from '@inertiajs/react';
import { clsx } from 'clsx';

import type { BundleRow } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import { to } from '../lib/route';
import css from './offers.module.css';
import ui from '../ui/ui.module.css';

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
    <section className={css.offersof} id="bundles">
      <div className={ui.secthead}>
        <h2>{say('offers.bundles.bundles')}</h2>
        {mayRun && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onChange(null)}>
            {say('offers.bundles.new_bundle')}
          </button>
        )}
      </div>
      {bundles.length === 0 ? (
        <p className={ui.soft}>{say('offers.bundles.none_yet_bundle_sells')}</p>
      ) : (
        <div className={css.scrollx}>
          <table className={clsx(ui.list, css.matrix)}>
            <caption className={ui.vh}>{say('offers.bundles.what_each_bundle_gives')}</caption>
            <thead>
              <tr>
                <th scope="col">{say('offers.bundles.bundle')}</th>
                <th scope="col">{say('keep.price')}</th>
                <th scope="col">{say('keep.offers')}</th>
                <th scope="col" className={ui.num}>
                  {say('offers.bundles.bought')}
                </th>
                {mayRun && (
                  <th scope="col">
                    <span className={ui.vh}>{say('offers.bundles.what_can_be_done')}</span>
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
                  <td className={ui.num}>{bundle.bought}</td>
                  {mayRun && (
                    <td className={css.rowacts}>
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onChange(bundle)}>
                        {saying('offers.bundles.change', { what: <span className={ui.vh}>{bundle.name}</span> })}
                      </button>
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => drop(bundle)}>
                        {saying('offers.bundles.drop', { what: <span className={ui.vh}>{bundle.name}</span> })}
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

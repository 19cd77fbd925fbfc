import { Link, router } from '@inertiajs/react';

import { type ReactNode, useEffect, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { BundleRow, CourseOffers, OfferChoice, OfferRow, OffersPage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { plainText } from '../../lib/words';
import { ToldHead } from '../../ui/HeadHelp';
import { KeepShell } from '../../ui/KeepShell';
import { Pager } from '../../ui/Pager';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { SellDialog } from '../../offers/SellDialog';
import { BundleDialog } from '../../offers/BundleDialog';
import { Bundles } from '../../offers/Bundles';
import { AccessDialog } from '../../offers/AccessDialog';
import { TrialDialog } from '../../offers/TrialDialog';
import css from '../../offers/offers.module.css';
import ui from '../../ui/ui.module.css';

type Task = { task: 'bundle'; bundle: BundleRow | null } | { task: 'sell' | 'access'; course: CourseOffers; offer: OfferRow } | { task: 'new' | 'trial'; course: CourseOffers };

export default function Offers({ courses, bundles, offers, page, pages, mayRun }: OffersPage) {
  const [task, setTask] = useState<Task | null>(null);
  // A link to one course leads to its page, and there to the course.
  useEffect(() => document.getElementById(decodeURIComponent(window.location.hash.slice(1)))?.scrollIntoView(), []);
  return (
    <KeepShell title={say('keep.offers')}>
      <main className={clsx(ui.plainpage, css.plainpage)}>
        <h1>{say('keep.offers')}</h1>
        {courses.length === 0 && (
          <div className={ui.empty}>
            <p>
              {saying('offers.offers.first_a_course', { none: <b key="none">{say('offers.offers.no_course_yet')}</b> })}
            </p>
          </div>
        )}
        {courses.map((course) => (
          <CourseSection key={course.key} course={course} mayRun={mayRun} onTask={setTask} />
        ))}
        {pages > 1 && <Pager page={page} pages={pages} address={(at) => withQuery(to('keep.offers'), { page: at })} />}
        {(bundles.length > 0 || offers.length > 1) && <Bundles bundles={bundles} mayRun={mayRun} onChange={(bundle) => setTask({ task: 'bundle', bundle })} />}
        {task?.task === 'bundle' && <BundleDialog bundle={task.bundle} offers={byCourse(offers)} onClose={() => setTask(null)} />}
        {task?.task === 'sell' && <SellDialog offer={task.offer} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'access' && <AccessDialog course={task.course} offer={task.offer} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'new' && <AccessDialog course={task.course} offer={null} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'trial' && <TrialDialog course={task.course} onClose={() => setTask(null)} />}
      </main>
    </KeepShell>
  );
}

/** As a list to choose from, under the titles of their courses. */
function byCourse(offers: OfferChoice[]) {
  const groups = new Map<string, { value: string; label: string }[]>();
  for (const { key, name, course } of offers) {
    groups.set(course, [...(groups.get(course) ?? []), { value: key, label: name }]);
  }
  return [...groups].map(([group, items]) => ({ group, items }));
}

function CourseSection({ course, mayRun, onTask }: { course: CourseOffers; mayRun: boolean; onTask: (task: Task) => void }) {
  const drop = (offer: OfferRow) => router.delete(to('keep.offers.sell', { offer: offer.id }), { data: { version: course.version }, preserveScroll: true, preserveState: true });
  return (
    <section className={css.offersof} id={course.key}>
      <div className={ui.secthead}>
        <h2>
          <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
        </h2>
        {mayRun && (
          <span>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onTask({ task: 'trial', course })}>
              {say('offers.offers.make_trial_this_course')}
            </button>{' '}
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onTask({ task: 'new', course })}>
              {say('offers.offers.new_offer')}
            </button>
          </span>
        )}
      </div>
      {course.findings.length > 0 && (
        <ul className={ui.findings}>
          {course.findings.map((finding) => (
            <li key={plainText(finding)}>
              <Words segments={finding.segments} />
            </li>
          ))}
        </ul>
      )}
      {course.offers.length === 0 ? (
        <p className={ui.soft}>{say('offers.offers.nobody_can_come_in')}</p>
      ) : (
        <div className={css.scrollx}>
          <table className={clsx(ui.list, css.matrix)}>
            <caption className={ui.vh}>{say('offers.offers.what_each_offer_title', { title: course.title })}</caption>
            <thead>
              <tr>
                <th scope="col">{say('keep.offer')}</th>
                <th scope="col">{say('keep.price')}</th>
                <th scope="col"><ToldHead title={say('keep.tier')} told={say('offers.told.tier')} chapter="6-offers-and-trials" /></th>
                <th scope="col"><ToldHead title={say('keep.pace')} told={say('offers.told.pace')} chapter="6-offers-and-trials" /></th>
                <th scope="col"><ToldHead title={say('offers.offers.lasts')} told={say('offers.told.lasts')} chapter="6-offers-and-trials" /></th>
                <th scope="col" className={ui.num}>
                  <ToldHead title={say('offers.offers.hold_it')} told={say('offers.told.hold_it')} chapter="6-offers-and-trials" />
                </th>
                {course.modules.map((module, index) => (
                  <th key={`${module} ${course.modules.indexOf(module) === index ? '' : index}`} scope="col" className={css.mod} title={module}>
                    {module}
                  </th>
                ))}
                {mayRun && (
                  <th scope="col">
                    <span className={ui.vh}>{say('offers.offers.what_can_be_done')}</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {course.offers.map((offer) => (
                <tr key={offer.id}>
                  <th scope="row">
                    {offer.name}
                    <span>
                      {[offer.trial ? say('offers.offers.trial') : '', offer.erases ? say('offers.offers.erased_afterwards') : '', ...offer.terms, offer.live ? '' : say('keep.not_live_yet')].filter((part) => part !== '').join(' · ')}
                      <DraftValue edited={offer.edited.includes('labels')}>{offer.labels === '' ? (offer.edited.includes('labels') ? say('offers.offers.no_labels') : '') : `${offer.terms.length > 0 || offer.trial || offer.erases || !offer.live ? ' · ' : ''}${say('offers.offers.gives', { labels: offer.labels })}`}</DraftValue>
                    </span>
                  </th>
                  <td>{offer.priceWords}</td>
                  <td>
                    <DraftValue edited={offer.edited.includes('tier')}>{offer.tier ?? say('offers.offers.no_tier')}</DraftValue>
                  </td>
                  <td>
                    <DraftValue edited={offer.edited.includes('plan')}>{offer.plan ?? say('offers.offers.all_at_once')}</DraftValue>
                  </td>
                  <td>
                    <DraftValue edited={offer.edited.includes('lasts')}>{offer.lastsWords}</DraftValue>
                  </td>
                  <td className={ui.num}>{offer.holders === 0 ? '0' : <Link href={withQuery(to('keep.people.list'), { holds: offer.key })}>{offer.holders}</Link>}</td>
                  {offer.opens.map(({ open, all }, index) => (
                    <td key={course.modules[index] ?? ''} className={clsx(css.mod, open === 0 ? css.none : open === all && css.whole)}>
                      {say('offers.offers.open_of_all', { open, all })}
                    </td>
                  ))}
                  {mayRun && (
                    <td className={css.rowacts}>
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onTask({ task: 'sell', course, offer })}>
                        {saying('offers.offers.sale', { what: <span className={ui.vh}>{say('offers.offers.sale_what', { name: offer.name })}</span> })}
                      </button>
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => onTask({ task: 'access', course, offer })}>
                        {saying('offers.offers.access', { what: <span className={ui.vh}>{say('offers.offers.access_what', { name: offer.name })}</span> })}
                      </button>
                      <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => drop(offer)}>
                        {saying('offers.offers.take_out', { what: <span className={ui.vh}>{offer.name}</span> })}
                      </button>
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {course.draft && (
        <p className={ui.soft}>
          {saying('offers.offers.waits', { rehearse: <Link href={to('keep.rehearsal', { course: course.key })}>{say('offers.offers.rehearse_and_publish')}</Link> })}
        </p>
      )}
    </section>
  );
}

/** A value that only the draft says is marked: it is not what is sold now. */
function DraftValue({ edited, children }: { edited: boolean; children: string }): ReactNode {
  return edited ? (
    <span className={css.indraft} title={say('offers.offers.in_draft_not_published')}>
      {children}
      <span className={ui.vh}> {say('offers.offers.drafted')}</span>
    </span>
  ) : (
    children
  );
}


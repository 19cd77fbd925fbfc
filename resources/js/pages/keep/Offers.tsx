import { Link, router } from '@inertiajs/react';

import { type ReactNode, useState } from 'react';

import { withQuery } from '../../lib/address';
import type { BundleRow, CourseOffers, OfferRow, OffersPage } from '../../lib/generated/types';
import { plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { SellDialog } from '../../offers/SellDialog';
import { BundleDialog } from '../../offers/BundleDialog';
import { Bundles } from '../../offers/Bundles';
import { AccessDialog } from '../../offers/AccessDialog';
import { TrialDialog } from '../../offers/TrialDialog';

type Task = { task: 'bundle'; bundle: BundleRow | null } | { task: 'sell' | 'access'; course: CourseOffers; offer: OfferRow } | { task: 'new' | 'trial'; course: CourseOffers };

export default function Offers({ courses, bundles, mayRun }: OffersPage) {
  const [task, setTask] = useState<Task | null>(null);
  const offers = courses.flatMap((course) => course.offers.map(({ key, name }) => ({ key, name })));
  return (
    <KeepShell title="Offers">
      <main className="plainpage">
        <h1>Offers</h1>
        {courses.length === 0 && (
          <div className="empty">
            <p>
              <b>No course yet.</b> An offer is sold, claimed or handed out for a course; make a course first.
            </p>
          </div>
        )}
        {courses.map((course) => (
          <CourseSection key={course.key} course={course} mayRun={mayRun} onTask={setTask} />
        ))}
        {(bundles.length > 0 || offers.length > 1) && <Bundles bundles={bundles} mayRun={mayRun} onChange={(bundle) => setTask({ task: 'bundle', bundle })} />}
        {task?.task === 'bundle' && <BundleDialog bundle={task.bundle} offers={courses.filter((course) => course.offers.length > 0).map((course) => ({ group: course.title, items: course.offers.map(({ key, name }) => ({ value: key, label: name })) }))} onClose={() => setTask(null)} />}
        {task?.task === 'sell' && <SellDialog offer={task.offer} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'access' && <AccessDialog course={task.course} offer={task.offer} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'new' && <AccessDialog course={task.course} offer={null} offers={offers} onClose={() => setTask(null)} />}
        {task?.task === 'trial' && <TrialDialog course={task.course} onClose={() => setTask(null)} />}
      </main>
    </KeepShell>
  );
}

function CourseSection({ course, mayRun, onTask }: { course: CourseOffers; mayRun: boolean; onTask: (task: Task) => void }) {
  const drop = (offer: OfferRow) => router.delete(to('keep.offers.sell', { offer: offer.id }), { data: { version: course.version }, preserveScroll: true, preserveState: true });
  return (
    <section className="offersof" id={course.key}>
      <div className="secthead">
        <h2>
          <Link href={to('keep.course', { course: course.key })}>{course.title}</Link>
        </h2>
        {mayRun && (
          <span>
            <button type="button" className="linklike" onClick={() => onTask({ task: 'trial', course })}>
              Make a trial of this course…
            </button>{' '}
            <button type="button" className="linklike" onClick={() => onTask({ task: 'new', course })}>
              New offer…
            </button>
          </span>
        )}
      </div>
      {course.findings.length > 0 && (
        <ul className="findings">
          {course.findings.map((finding) => (
            <li key={plainText(finding)}>
              <Words segments={finding.segments} />
            </li>
          ))}
        </ul>
      )}
      {course.offers.length === 0 ? (
        <p className="soft">Nobody can come in by an offer: there is none.</p>
      ) : (
        <div className="scrollx">
          <table className="list matrix">
            <caption className="vh">What each offer of {course.title} opens, module by module</caption>
            <thead>
              <tr>
                <th scope="col">Offer</th>
                <th scope="col">Price</th>
                <th scope="col">Tier</th>
                <th scope="col">Pace</th>
                <th scope="col">Lasts</th>
                <th scope="col" className="num">
                  Hold it
                </th>
                {course.modules.map((module, index) => (
                  <th key={`${module} ${course.modules.indexOf(module) === index ? '' : index}`} scope="col" className="mod" title={module}>
                    {module}
                  </th>
                ))}
                {mayRun && (
                  <th scope="col">
                    <span className="vh">What can be done</span>
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
                      {[offer.trial ? 'trial' : '', offer.erases ? 'erased afterwards' : '', ...offer.terms, offer.live ? '' : 'not live yet'].filter((part) => part !== '').join(' · ')}
                      <DraftValue edited={offer.edited.includes('labels')}>{offer.labels === '' ? (offer.edited.includes('labels') ? 'no labels' : '') : `${offer.terms.length > 0 || offer.trial || offer.erases || !offer.live ? ' · ' : ''}gives ${offer.labels}`}</DraftValue>
                    </span>
                  </th>
                  <td>{offer.priceWords}</td>
                  <td>
                    <DraftValue edited={offer.edited.includes('tier')}>{offer.tier ?? 'none'}</DraftValue>
                  </td>
                  <td>
                    <DraftValue edited={offer.edited.includes('plan')}>{offer.plan ?? 'all at once'}</DraftValue>
                  </td>
                  <td>
                    <DraftValue edited={offer.edited.includes('lasts')}>{offer.lastsWords}</DraftValue>
                  </td>
                  <td className="num">{offer.holders === 0 ? '0' : <Link href={withQuery(to('keep.people.list'), { holds: offer.key })}>{offer.holders}</Link>}</td>
                  {offer.opens.map((count, index) => (
                    <td key={course.modules[index] ?? ''} className={count.startsWith('0 ') ? 'mod none' : isWhole(count) ? 'mod whole' : 'mod'}>
                      {count}
                    </td>
                  ))}
                  {mayRun && (
                    <td className="rowacts">
                      <button type="button" className="linklike" onClick={() => onTask({ task: 'sell', course, offer })}>
                        Sale<span className="vh"> of {offer.name}</span>
                      </button>
                      <button type="button" className="linklike" onClick={() => onTask({ task: 'access', course, offer })}>
                        Access<span className="vh"> by {offer.name}</span>
                      </button>
                      <button type="button" className="linklike" onClick={() => drop(offer)}>
                        Take out<span className="vh"> {offer.name}</span>
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
        <p className="soft">
          Changes of this course wait in its draft. <Link href={to('keep.rehearsal', { course: course.key })}>Rehearse and publish</Link>
        </p>
      )}
    </section>
  );
}

/** A value that only the draft says is marked: it is not what is sold now. */
function DraftValue({ edited, children }: { edited: boolean; children: string }): ReactNode {
  return edited ? (
    <span className="indraft" title="In the draft, not published yet">
      {children}
      <span className="vh"> (in the draft)</span>
    </span>
  ) : (
    children
  );
}

function isWhole(count: string): boolean {
  const [some, all] = count.split(' of ');
  return some === all;
}

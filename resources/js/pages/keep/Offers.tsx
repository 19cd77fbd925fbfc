import { Link, router, useForm } from '@inertiajs/react';
import { Button, Modal, MultiSelect, NumberInput, Select, TextInput } from '@mantine/core';
import { type FormEvent, useEffect, useState } from 'react';

import { keepAddress } from '../../lib/address';
import { postJson } from '../../lib/http';
import { useShared } from '../../lib/page';
import type { CourseOffers, OfferRow, OffersPage, TrialPreview } from '../../lib/types';
import { counted, plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';

type Task = { task: 'sell' | 'access'; course: CourseOffers; offer: OfferRow } | { task: 'new' | 'trial'; course: CourseOffers };

export default function Offers({ courses, mayRun }: OffersPage) {
  const [task, setTask] = useState<Task | null>(null);
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
        {task?.task === 'sell' && <SellDialog offer={task.offer} onClose={() => setTask(null)} />}
        {task?.task === 'access' && <AccessDialog course={task.course} offer={task.offer} onClose={() => setTask(null)} />}
        {task?.task === 'new' && <AccessDialog course={task.course} offer={null} onClose={() => setTask(null)} />}
        {task?.task === 'trial' && <TrialDialog course={task.course} onClose={() => setTask(null)} />}
      </main>
    </KeepShell>
  );
}

function CourseSection({ course, mayRun, onTask }: { course: CourseOffers; mayRun: boolean; onTask: (task: Task) => void }) {
  const drop = (offer: OfferRow) => router.delete(`/keep/offers/${offer.id}`, { data: { version: course.version }, preserveScroll: true, preserveState: true });
  return (
    <section className="offersof" id={course.key}>
      <div className="secthead">
        <h2>
          <Link href={keepAddress(course.key)}>{course.title}</Link>
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
                      {[offer.trial ? 'trial' : '', offer.erases ? 'erased afterwards' : '', offer.labels === '' ? '' : `labels ${offer.labels}`, offer.live ? '' : 'not live yet'].filter((part) => part !== '').join(' · ')}
                    </span>
                  </th>
                  <td>{offer.priceWords}</td>
                  <td>{offer.tier ?? 'none'}</td>
                  <td>{offer.plan ?? 'all at once'}</td>
                  <td>{offer.lastsWords}</td>
                  <td className="num">{offer.holders === 0 ? '0' : <Link href={`/keep/people?holds=${offer.key}`}>{offer.holders}</Link>}</td>
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
          Changes of this course wait in its draft. <Link href={keepAddress(course.key, '/rehearsal')}>Rehearse and publish</Link>
        </p>
      )}
    </section>
  );
}

function isWhole(count: string): boolean {
  const [some, all] = count.split(' of ');
  return some === all;
}

const SALES = [
  { value: 'none', label: 'Not sold' },
  { value: 'free', label: 'Free' },
  { value: 'price', label: 'For a price' },
];

interface Selling {
  name: string;
  sale: string;
  price: number | null;
  currency: string;
  labels: string;
  trial: boolean;
  erases: boolean;
}

function sellingOf(offer: OfferRow | null, currency: string): Selling {
  return {
    name: offer?.name ?? '',
    sale: offer === null || offer.price === null ? 'none' : offer.price === 0 ? 'free' : 'price',
    price: offer?.price ?? null,
    currency: offer?.currency ?? currency,
    labels: offer?.labels ?? '',
    trial: offer?.trial ?? false,
    erases: offer?.erases ?? false,
  };
}

interface SellingFieldsProps {
  data: Selling;
  errors: Partial<Record<string, string>>;
  onSet: (changes: Partial<Selling>) => void;
}

function SellingFields({ data, errors, onSet }: SellingFieldsProps) {
  return (
    <>
      <TextInput label="Name" data-autofocus maxLength={100} value={data.name} error={errors['name']} onChange={(event) => onSet({ name: event.currentTarget.value })} />
      <div className="pair">
        <Select label="Sale" data={SALES} value={data.sale} allowDeselect={false} error={errors['sale']} onChange={(sale) => onSet({ sale: sale ?? 'none' })} />
        {data.sale === 'price' && (
          <div className="pair">
            <NumberInput label="Price" min={0} decimalScale={2} value={data.price ?? ''} error={errors['price']} onChange={(price) => onSet({ price: price === '' ? null : Number(price) })} />
            <TextInput label="Currency" maxLength={3} value={data.currency} error={errors['currency']} onChange={(event) => onSet({ currency: event.currentTarget.value.toUpperCase() })} />
          </div>
        )}
      </div>
      <TextInput label="Labels that it gives, divided by commas" value={data.labels} error={errors['labels']} onChange={(event) => onSet({ labels: event.currentTarget.value })} />
      <label className="tick">
        <input type="checkbox" checked={data.trial} onChange={(event) => onSet({ trial: event.currentTarget.checked })} /> it is a trial
      </label>
      <label className="tick">
        <input type="checkbox" checked={data.erases} onChange={(event) => onSet({ erases: event.currentTarget.checked })} /> some days after it has ended, what was finished is erased (left empty: it is kept for those who come back)
      </label>
    </>
  );
}

function SellDialog({ offer, onClose }: { offer: OfferRow; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm(sellingOf(offer, school.currency));
  return (
    <Modal opened onClose={onClose} title={`The sale of ${offer.name}`}>
      <form
        className="review"
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.put(`/keep/offers/${offer.id}`, { preserveScroll: true, preserveState: true, onSuccess: onClose });
        }}
      >
        <SellingFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
        <p className="soft">This changes at once. What it opens to its holders does not change by it.</p>
        <div className="review-acts">
          <Button type="button" variant="default" onClick={onClose}>
            Leave
          </Button>
          <Button type="submit" loading={form.processing}>
            Save
          </Button>
        </div>
      </form>
    </Modal>
  );
}

const LASTING = [
  { value: 'good', label: 'For good' },
  { value: 'days', label: 'Days from joining' },
  { value: 'until', label: 'Until a date' },
];

function AccessDialog({ course, offer, onClose }: { course: CourseOffers; offer: OfferRow | null; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm({
    ...sellingOf(offer, school.currency),
    version: course.version,
    offer: offer?.key ?? '',
    tier: offer?.tier ?? '',
    plan: offer?.plan ?? '',
    scope: offer?.scope ?? [],
    lasts: offer?.lasts ?? 'good',
    days: offer?.days ?? (null as number | null),
    until: offer?.until ?? '',
  });
  const { data, errors, setData } = form;
  const loose = errors as Partial<Record<string, string>>;
  return (
    <Modal opened onClose={onClose} title={offer === null ? `A new offer for ${course.title}` : `What ${offer.name} opens`} size={560}>
      <form
        className="review"
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.post(keepAddress(course.key, '/draft/offers'), { preserveScroll: true, preserveState: true, onSuccess: onClose });
        }}
      >
        {offer === null && <SellingFields data={data} errors={loose} onSet={(changes) => setData((now) => ({ ...now, ...changes }))} />}
        <div className="pair">
          <Select label="Tier" data={[{ value: '', label: 'None' }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} error={loose['tier']} onChange={(tier) => setData('tier', tier ?? '')} />
          <Select label="Pace" data={[{ value: '', label: 'All at once' }, ...course.plans.map((plan) => ({ value: plan, label: `The ${plan} plan` }))]} value={data.plan} allowDeselect={false} error={loose['plan']} onChange={(plan) => setData('plan', plan ?? '')} />
        </div>
        <MultiSelect
          label="Scope (left empty: the whole course)"
          data={course.rows.map(({ key, title }) => ({ value: key, label: title }))}
          value={data.scope}
          searchable
          clearable
          error={loose['scope']}
          onChange={(scope) => setData('scope', scope)}
        />
        <div className="pair">
          <Select label="A pass of it lasts" data={LASTING} value={data.lasts} allowDeselect={false} onChange={(lasts) => setData('lasts', lasts ?? 'good')} />
          {data.lasts === 'days' && <NumberInput label="Days" min={1} allowDecimal={false} value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />}
          {data.lasts === 'until' && <TextInput type="datetime-local" label="Until, school time" value={data.until} error={loose['until']} onChange={(event) => setData('until', event.currentTarget.value)} />}
        </div>
        {loose['rule'] !== undefined && <p className="takes">{loose['rule']}</p>}
        <p className="soft">It goes to the draft of the course{offer === null ? '; passes of it can be given once that is published.' : ', where a rehearsal shows what it does to those who hold it. How long present passes last does not change.'}</p>
        <div className="review-acts">
          <Button type="button" variant="default" onClick={onClose}>
            Leave
          </Button>
          <Button type="submit" loading={form.processing}>
            Keep in the draft
          </Button>
        </div>
      </form>
    </Modal>
  );
}

/** A trial without a copy of the course: an offer that lasts some days. */
function TrialDialog({ course, onClose }: { course: CourseOffers; onClose: () => void }) {
  const { school } = useShared();
  const form = useForm({
    version: course.version, offer: '', name: `${course.title}, ten-day trial`, sale: 'free', price: null as number | null, currency: school.currency, labels: '', trial: true, erases: false,
    tier: course.tiers[course.tiers.length - 1] ?? '', plan: '', scope: [] as string[], lasts: 'days', days: 10 as number | null, until: '',
  });
  const { data, setData } = form;
  const loose = form.errors as Partial<Record<string, string>>;
  const preview = useTrial(course.key, data.days, data.tier, data.plan);
  return (
    <Modal opened onClose={onClose} title={`A trial of ${course.title}`} size={560}>
      <form
        className="review"
        noValidate
        onSubmit={(event: FormEvent) => {
          event.preventDefault();
          form.post(keepAddress(course.key, '/draft/offers'), { preserveScroll: true, preserveState: true, onSuccess: onClose });
        }}
      >
        <div className="pair">
          <TextInput label="Name" maxLength={100} value={data.name} error={loose['name']} onChange={(event) => setData('name', event.currentTarget.value)} />
          <NumberInput label="Days" min={1} max={3660} allowDecimal={false} data-autofocus value={data.days ?? ''} error={loose['days']} onChange={(days) => setData('days', days === '' ? null : Number(days))} />
        </div>
        <div className="pair">
          <Select label="Tier" data={[{ value: '', label: 'None' }, ...course.tiers.map((tier) => ({ value: tier, label: tier }))]} value={data.tier} allowDeselect={false} onChange={(tier) => setData('tier', tier ?? '')} />
          <Select label="Pace" data={[{ value: '', label: 'All at once' }, ...course.plans.map((plan) => ({ value: plan, label: `The ${plan} plan` }))]} value={data.plan} allowDeselect={false} onChange={(plan) => setData('plan', plan ?? '')} />
        </div>
        <fieldset className="whenlive">
          <legend>Afterwards, what was finished</legend>
          <label>
            <input type="radio" name="erases" checked={!data.erases} onChange={() => setData('erases', false)} /> is kept for those who come back
          </label>
          <label>
            <input type="radio" name="erases" checked={data.erases} onChange={() => setData('erases', true)} /> is erased
          </label>
        </fieldset>
        <div className="outcomes" role="status">
          {preview === null ? (
            <p className="soft">Looking how far one comes…</p>
          ) : (
            <>
              <details>
                <summary>
                  One who finishes nothing sees <b>{preview.lazy.length}</b> of {counted(preview.lessons, 'lesson')}
                </summary>
                <p>{preview.lazy.join(', ')}</p>
              </details>
              <details>
                <summary>
                  One who finishes all at once sees <b>{preview.lazy.length + preview.diligent.length}</b> of {preview.lessons}
                </summary>
                <p>{[...preview.lazy, ...preview.diligent].join(', ')}</p>
              </details>
              <p className="soft">Begun now, it would end {preview.until}. The course is not copied.</p>
            </>
          )}
        </div>
        {loose['rule'] !== undefined && <p className="takes">{loose['rule']}</p>}
        <div className="review-acts">
          <Button type="button" variant="default" onClick={onClose}>
            Leave
          </Button>
          <Button type="submit" loading={form.processing}>
            Keep in the draft
          </Button>
        </div>
      </form>
    </Modal>
  );
}

function useTrial(course: string, days: number | null, tier: string, plan: string): TrialPreview | null {
  const asked = JSON.stringify({ days, tier, plan });
  const [told, setTold] = useState<{ for: string; preview: TrialPreview | null } | null>(null);
  useEffect(() => {
    let wanted = true;
    const timer = window.setTimeout(() => {
      void postJson<TrialPreview>(keepAddress(course, '/trial'), JSON.parse(asked)).then((preview) => {
        if (wanted) {
          setTold({ for: asked, preview });
        }
      });
    }, 200);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [asked, course]);
  return told?.for === asked ? told.preview : null;
}

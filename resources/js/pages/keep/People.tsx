import { Link, router } from '@inertiajs/react';
import { Button, Menu } from '@mantine/core';
import { useState } from 'react';

import { useShortcuts } from '../../lib/shortcuts';
import type { ActUnderWay, PeoplePage, PersonRow } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import { ActDialog } from '../../people/ActDialog';
import type { Act, Whom } from '../../people/acts';
import { KeepShell } from '../../ui/KeepShell';
import { Pager } from '../../ui/Pager';
import { to } from '../../lib/route';
import { FilterBar } from '../../people/FilterBar';
import { SavedFilters } from '../../people/SavedFilters';

const ACTS: { do: string; title: string; run: boolean }[] = [
  { do: 'give', title: 'Give a pass', run: true },
  { do: 'extend', title: 'Extend a pass', run: false },
  { do: 'pause', title: 'Pause a pass', run: true },
  { do: 'resume', title: 'Take a pass up again', run: true },
  { do: 'end', title: 'End a pass', run: true },
  { do: 'grant', title: 'Hand something out', run: false },
  { do: 'take-back', title: 'Take back what was handed out', run: false },
  { do: 'label', title: 'Give a label', run: true },
  { do: 'unlabel', title: 'Take a label away', run: true },
  { do: 'write', title: 'Write to them', run: true },
];

type Filter = PeoplePage['filter'];

function addressOf(filter: Filter, page = 1, base = to('keep.people.list')): string {
  const query = new URLSearchParams(Object.entries(filter).filter(([, value]) => value !== ''));
  if (page > 1) {
    query.set('page', String(page));
  }
  const text = query.toString();
  return text === '' ? base : `${base}?${text}`;
}

/** How an act on many people stands. */
const UNDER_WAY: Record<ActUnderWay['state'], string> = { preparing: 'it is being looked at', prepared: 'waits for you to do it', undoing: 'is being taken back' };

export default function People(props: PeoplePage) {
  const { people, total, page, pages, filter, offers, courses, labels, segments, underWay, mayRun } = props;
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  const [all, setAll] = useState(false);
  const [act, setAct] = useState<{ act: Act; title: string } | null>(null);
  const show = (changes: Filter) => {
    setPicked(new Set());
    setAll(false);
    router.get(addressOf({ ...filter, ...changes }), {}, { preserveState: true, preserveScroll: true, replace: true });
  };
  const whom: Whom = all ? { filter } : { people: [...picked] };
  const count = all ? total : picked.size;
  const whole = people.length > 0 && people.every(({ id }) => picked.has(id));
  useShortcuts({ '/': () => document.querySelector<HTMLInputElement>('#find')?.focus() });
  return (
    <KeepShell title="People">
      <main className="plainpage">
        <div className="pagehead">
          <h1>People</h1>
          {mayRun && (
            <Button component={Link} href={to('keep.bring-in')}>
              Bring people in
            </Button>
          )}
        </div>
        {underWay.length > 0 && (
          <ul className="underway" aria-label="Under way">
            {underWay.map((one) => (
              <li key={one.id}>
                <Link href={to('keep.act', { act: one.id })}>
                  {one.told} for {counted(one.of, 'person', 'people')}
                </Link>{' '}
                · {UNDER_WAY[one.state] ?? one.state}
              </li>
            ))}
          </ul>
        )}
        <FilterBar key={JSON.stringify(filter)} filter={filter} offers={offers} courses={courses} labels={labels} onShow={show} />
        <div className="listhead">
          <p role="status">
            <b>{counted(total, 'person', 'people')}</b>
            {count > 0 && ` · ${count} chosen`}
            {whole && !all && total > people.length && (
              <>
                {' · '}
                <button type="button" className="linklike" onClick={() => setAll(true)}>
                  choose all {total}
                </button>
              </>
            )}
          </p>
          {count > 0 && (
            <Menu width={230} position="bottom-start" withArrow>
              <Menu.Target>
                <Button size="xs">Do something with {counted(count, 'person', 'people')}</Button>
              </Menu.Target>
              <Menu.Dropdown>
                {ACTS.filter(({ run }) => mayRun || !run).map((one) => (
                  <Menu.Item key={one.do} onClick={() => setAct({ act: { do: one.do, ...(filter['holds'] === undefined ? {} : { offer: filter['holds'] }) }, title: one.title })}>
                    {one.title}…
                  </Menu.Item>
                ))}
              </Menu.Dropdown>
            </Menu>
          )}
          <SavedFilters filter={filter} segments={segments} />
          <a href={addressOf(filter, 1, to('keep.people.csv'))}>These as CSV</a>
        </div>
        {people.length === 0 ? (
          <div className="empty">
            <p>
              {Object.keys(filter).length === 0 ? (
                <>
                  <b>Nobody is here yet.</b> Bring people in one by one, or from a file.
                </>
              ) : (
                <>
                  <b>Nobody is like that.</b>{' '}
                  <button type="button" className="linklike" onClick={() => router.get(to('keep.people.list'))}>
                    Show everybody
                  </button>
                </>
              )}
            </p>
          </div>
        ) : (
          <table className="list people">
            <caption className="vh">People, page {page} of {pages}</caption>
            <thead>
              <tr>
                <th scope="col" className="tickcell">
                  <input type="checkbox" aria-label="Choose all on this page" checked={whole} onChange={() => [setAll(false), setPicked(new Set(whole ? [] : people.map(({ id }) => id)))]} />
                </th>
                <th scope="col">Name</th>
                <th scope="col">Passes</th>
                <th scope="col">Labels</th>
                <th scope="col" className="num">
                  Finished <span className="soft">of the whole course</span>
                </th>
                <th scope="col">Last here</th>
              </tr>
            </thead>
            <tbody>
              {people.map((person) => (
                <Line
                  key={person.id}
                  person={person}
                  picked={all || picked.has(person.id)}
                  onPick={() => {
                    const next = new Set(picked);
                    if (!next.delete(person.id)) {
                      next.add(person.id);
                    }
                    setAll(false);
                    setPicked(next);
                  }}
                />
              ))}
            </tbody>
          </table>
        )}
        <Pager page={page} pages={pages} address={(at) => addressOf(filter, at)} />
        {act !== null && <ActDialog title={act.title} act={act.act} whom={whom} offers={offers} courses={courses} labels={labels} onClose={() => setAct(null)} />}
      </main>
    </KeepShell>
  );
}

function Line({ person, picked, onPick }: { person: PersonRow; picked: boolean; onPick: () => void }) {
  return (
    <tr className={picked ? 'picked' : ''}>
      <td className="tickcell">
        <input type="checkbox" aria-label={`Choose ${person.name}`} checked={picked} onChange={onPick} />
      </td>
      <th scope="row">
        <Link href={to('keep.person', { person: person.id })}>{person.name}</Link>
        <span>
          {person.email}
          {person.role !== null && ` · ${person.role}`}
        </span>
      </th>
      <td>
        {[...new Set(person.passes)].slice(0, 2).map((pass) => (
          <div key={pass}>{pass}</div>
        ))}
        {person.passes.length > 2 && <div className="soft">and {person.passes.length - 2} more</div>}
      </td>
      <td>{person.labels.join(', ')}</td>
      <td className="num">{person.progress}</td>
      <td>{person.seen ?? 'never'}</td>
    </tr>
  );
}

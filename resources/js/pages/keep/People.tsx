import { Link, router } from '@inertiajs/react';
import { Button, Menu } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { useShortcuts } from '../../lib/shortcuts';
import type { ActUnderWay, PeoplePage, PersonRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { ActDialog } from '../../people/ActDialog';
import type { Act, Whom } from '../../people/acts';
import { KeepShell } from '../../ui/KeepShell';
import { Pager } from '../../ui/Pager';
import { useHelps } from '../../lib/page';
import { ToldHead } from '../../ui/HeadHelp';
import { to } from '../../lib/route';
import { PeopleFiles } from '../../people/PeopleFiles';
import { FilterBar } from '../../people/FilterBar';
import { SavedFilters } from '../../people/SavedFilters';
import css from '../../people/people.module.css';
import ui from '../../ui/ui.module.css';

const ACTS: { do: string; title: string; run: boolean }[] = [
  { do: 'give', title: say('people.people.give_a_pass'), run: true },
  { do: 'extend', title: say('people.people.extend_a_pass'), run: false },
  { do: 'pause', title: say('people.people.pause_a_pass'), run: true },
  { do: 'resume', title: say('people.people.take_pass_up_again'), run: true },
  { do: 'end', title: say('people.people.end_a_pass'), run: true },
  { do: 'grant', title: say('people.people.hand_something_out'), run: false },
  { do: 'finish', title: say('people.people.mark_something'), run: false },
  { do: 'take-back', title: say('people.people.take_back_what_was'), run: false },
  { do: 'label', title: say('people.people.give_a_label'), run: true },
  { do: 'unlabel', title: say('people.people.take_a_label_away'), run: true },
  { do: 'write', title: say('people.people.write_to_them'), run: true },
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
const UNDER_WAY: Record<ActUnderWay['state'], string> = { preparing: say('people.people.being_looked_at'), prepared: say('people.people.waits_for_you_do'), undoing: say('people.people.is_being_taken_back') };

export default function People(props: PeoplePage) {
  const { people, total, page, pages, filter, offers, courses, labels, segments, underWay, mayRun } = props;
  const helps = useHelps();
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
    <KeepShell title={say('keep.people')}>
      <main className={ui.plainpage}>
        <div className={clsx(ui.pagehead, css.pagehead)}>
          <h1>{say('keep.people')}</h1>
          {mayRun && (
            <Button component={Link} href={to('keep.bring-in')}>
              {say('people.people.bring_people_in')}
            </Button>
          )}
        </div>
        {underWay.length > 0 && (
          <ul className={css.underway} aria-label={say('people.people.under_way')}>
            {underWay.map((one) => (
              <li key={one.id}>
                <Link href={to('keep.act', { act: one.id })}>
                  {say('people.people.act_for', { act: one.told, people: say('keep.people_counted', { count: one.of }) })}
                </Link>{' '}
                · {UNDER_WAY[one.state] ?? one.state}
              </li>
            ))}
          </ul>
        )}
        <PeopleFiles files={props.files} />
        <FilterBar key={JSON.stringify(filter)} filter={filter} offers={offers} courses={courses} labels={labels} onShow={show} />
        <div className={css.listhead}>
          <p role="status">
            <b>{say('keep.people_counted', { count: total })}</b>
            {count > 0 && ` · ${say('people.people.chosen', { count })}`}
            {whole && !all && total > people.length && (
              <>
                {' · '}
                <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setAll(true)}>
                  {say('people.people.choose_all_total', { total })}
                </button>
              </>
            )}
          </p>
          {count > 0 && helps && (
            <Menu width={230} position="bottom-start" withArrow>
              <Menu.Target>
                <Button size="xs">{say('people.people.do_with', { people: say('keep.people_counted', { count }) })}</Button>
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
          {total > props.csvAtOnce ? (
            <button type="button" data-csv className={clsx(ui.linklike, css.linklike)} title={say('people.files.have_made_told', { people: say('keep.people_counted', { count: total }) })} onClick={() => router.post(addressOf(filter, 1, to('keep.people.files.ask')), {}, { preserveScroll: true, preserveState: true })}>
              {say('people.files.have_made')}
            </button>
          ) : (
            <a data-csv href={addressOf(filter, 1, to('keep.people.csv'))}>{say('people.people.these_as_csv')}</a>
          )}
          <CsvForm form={props.csvForm} />
        </div>
        {people.length === 0 ? (
          <div className={ui.empty}>
            <p>
              {Object.keys(filter).length === 0 ? (
                <>
                  {saying('people.people.bring', { nobody: <b>{say('people.people.nobody_is_here_yet')}</b> })}
                </>
              ) : (
                <>
                  <b>{say('people.people.nobody_is_like_that')}</b>{' '}
                  <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.get(to('keep.people.list'))}>
                    {say('people.people.show_everybody')}
                  </button>
                </>
              )}
            </p>
          </div>
        ) : (
          <table className={clsx(ui.list, css.list, css.people)}>
            <caption className={ui.vh}>{say('people.people.people_page_page_pages', { page, pages })}</caption>
            <thead>
              <tr>
                <th scope="col" className={css.tickcell}>
                  <input type="checkbox" aria-label={say('people.people.choose_all_on_this')} checked={whole} onChange={() => [setAll(false), setPicked(new Set(whole ? [] : people.map(({ id }) => id)))]} />
                </th>
                <th scope="col">{say('keep.name')}</th>
                <th scope="col">
                  <ToldHead title={say('people.people.passes')} told={say('people.told.passes')} chapter="7-people" />
                </th>
                <th scope="col">
                  <ToldHead title={say('keep.labels')} told={say('people.told.labels')} chapter="10-the-school" />
                </th>
                <th scope="col" className={ui.num}>
                  {saying('people.people.finished', { whole: <span className={ui.soft}>{say('people.people.of_what_is_for_them')}</span> })}
                </th>
                <th scope="col">
                  <ToldHead title={say('people.people.last_here')} told={say('people.told.last_here')} chapter="7-people" />
                </th>
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

/** In which form one is given this and every other CSV file. */
function CsvForm({ form }: { form: PeoplePage['csvForm'] }) {
  return (
    <select className={css.csvform} aria-label={say('people.csv.form')} title={say('people.csv.form')} value={form ?? ''} onChange={(event) => router.put(to('keep.csv-form'), { form: event.currentTarget.value }, { preserveScroll: true, preserveState: true })}>
      <option value="">{say('people.csv.usual')}</option>
      <option value="comma">{say('people.csv.comma')}</option>
      <option value="comma-marked">{say('people.csv.comma_marked')}</option>
      <option value="semicolon">{say('people.csv.semicolon')}</option>
      <option value="semicolon-marked">{say('people.csv.semicolon_marked')}</option>
    </select>
  );
}

function Line({ person, picked, onPick }: { person: PersonRow; picked: boolean; onPick: () => void }) {
  return (
    <tr className={clsx(picked && ui.picked)}>
      <td className={css.tickcell}>
        <input type="checkbox" aria-label={say('people.people.choose_name', { name: person.name })} checked={picked} onChange={onPick} />
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
        {person.passes.length > 2 && <div className={ui.soft}>{say('people.people.more_passes', { count: person.passes.length - 2 })}</div>}
      </td>
      <td>{person.labels.join(', ')}</td>
      <td className={ui.num}>{person.progress}</td>
      <td>{person.seen === null ? say('people.people.never') : <time dateTime={person.seenInstant ?? undefined}>{person.seen}</time>}</td>
    </tr>
  );
}

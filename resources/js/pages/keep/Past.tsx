import { Link, router } from '@inertiajs/react';
import { Button, Select } from '@mantine/core';
import { clsx } from 'clsx';
import { type CSSProperties, useMemo, useState } from 'react';

import { withQuery } from '../../lib/address';
import type { PastPage, PastRow, PastTurn, Sentence } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useShortcuts } from '../../lib/shortcuts';
import { isoOf, SchoolTime } from '../../lib/time';
import { rowsAt, type RowThen, ticksOfTurns, turnAt, turnsOfRow } from '../../people/past';
import { PastWhyCard } from '../../people/PastWhyCard';
import { Story } from '../../people/Story';
import { Arch } from '../../ui/Arch';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import { tickFrom, TimeRail } from '../../workspace/TimeRail';
import css from '../../people/past.module.css';
import rail from '../../workspace/workspace.module.css';
import ui from '../../ui/ui.module.css';

/** What was open to somebody in a course at any instant since their first day, and by what it became so. */
export default function Past(page: PastPage) {
  const { id, name, courses, course, from, now, wholeSince, observes, with: learner, rows, turns, reasons, offsets, zoneName } = page;
  const time = useMemo(() => new SchoolTime(offsets, now), [offsets, now]);
  const { at, setAt, row, setRow } = useLooked(page);
  const ticks = useMemo(() => ticksOfTurns(turns), [turns]);
  const then = useMemo(() => rowsAt(turns, at), [turns, at]);
  const current = turns[turnAt(turns, at)];
  const chosen = row === null ? -1 : rows.findIndex(({ key }) => key === row);
  const told = chosen === -1 ? turns : turnsOfRow(turns, chosen);
  const seen = chosen === -1 ? current : told[turnAt(told, at)];
  const visit = (query: Record<string, string | null>) => router.get(withQuery(to('keep.person.past', { person: id }), { course, with: learner === null ? null : String(learner), ...query }), {}, { preserveState: false });
  const step = (by: 1 | -1) => {
    const tick = tickFrom(ticks, at, by);
    if (tick !== undefined) {
      setAt(tick.at);
    }
  };
  useShortcuts({ ']': () => step(1), '[': () => step(-1), '0': () => setAt(null) });
  return (
    <KeepShell title={say('past.title', { name })}>
      <main className={clsx(ui.plainpage, css.past)}>
        <div className={ui.pagehead}>
          <div>
            <h1>{say('past.heading', { name })}</h1>
            <p className={ui.soft}>
              {say('past.told')} {wholeSince !== null && say('past.whole_since', { when: wholeSince })} <Link href={to('keep.person', { person: id })}>{say('past.back')}</Link>
            </p>
          </div>
          <div className={css.controls}>
            <Select aria-label={say('past.course')} data={courses.map(({ key, title }) => ({ value: key, label: title }))} value={course} allowDeselect={false} searchable onChange={(value) => visit({ course: value })} />
            {observes.length > 0 && (
              <Select
                aria-label={say('past.with')}
                data={[{ value: '', label: say('past.alone') }, ...observes.map((one) => ({ value: String(one.id), label: say('past.with_name', { name: one.name }) }))]}
                value={learner === null ? '' : String(learner)}
                allowDeselect={false}
                onChange={(value) => visit({ with: value === '' ? null : value })}
              />
            )}
            {course !== null && (
              <Button component="a" variant="default" download href={withQuery(to('keep.person.past.file', { person: id }), { course, with: learner })}>
                {say('past.file')}
              </Button>
            )}
            <Button variant="default" onClick={() => window.print()}>
              {say('past.print')}
            </Button>
          </div>
        </div>
        {course === null ? (
          <p className={ui.empty}>{say('past.no_course')}</p>
        ) : (
          <>
            <div className={css.cols}>
              <section aria-label={say('past.rows')}>
                <h2>{say('past.rows')}</h2>
                <Rows rows={rows} then={then} reasons={reasons} time={time} chosen={row} onChoose={(key) => setRow(key === row ? null : key)} />
              </section>
              <section aria-label={say('past.story')}>
                {chosen !== -1 && row !== null && <PastWhyCard person={id} course={course} item={row} title={rows[chosen]?.title ?? row} at={at} when={time.words(at)} with={learner} />}
                <div className={css.narrow}>
                  <h2>{chosen === -1 ? say('past.story') : say('past.only_row', { title: rows[chosen]?.title ?? '' })}</h2>
                  {chosen !== -1 && (
                    <button type="button" className={clsx(ui.linklike, css.noprint)} onClick={() => setRow(null)}>
                      {say('past.all_rows')}
                    </button>
                  )}
                </div>
                <Story turns={told} rows={rows} only={chosen === -1 ? null : chosen} current={seen} onAt={setAt} />
              </section>
            </div>
            <footer className={clsx(rail.rail, rail.timed, css.rail)}>
              <TimeRail sights={{ at, isNow: at === now, setAt, state: 'ready', grid: { from, now, overTime: true } }} ticks={ticks} time={time} zoneName={zoneName} until={now + (now - from) / 60} />
            </footer>
          </>
        )}
      </main>
    </KeepShell>
  );
}

const note = (query: Record<string, string | null>) => window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, query));

/** What is looked at: the instant and the row stand in the address. */
function useLooked({ from, now, rows }: { from: number; now: number; rows: PastRow[]; turns: PastTurn[] }) {
  const [asked] = useState(() => new URLSearchParams(window.location.search));
  const [at, moveTo] = useState(() => {
    const instant = asked.get('at') === null ? NaN : Date.parse(asked.get('at') ?? '') / 1000;
    return Number.isFinite(instant) ? Math.min(now, Math.max(from, instant)) : now;
  });
  const [row, choose] = useState(() => (rows.some(({ key }) => key === asked.get('row')) ? asked.get('row') : null));
  return {
    at,
    row,
    setAt: (instant: number | null) => {
      const next = Math.min(now, Math.max(from, instant ?? now));
      moveTo(next);
      note({ at: next === now ? null : isoOf(next) });
    },
    setRow: (key: string | null) => {
      choose(key);
      note({ row: key });
    },
  };
}

interface RowsProps {
  rows: PastRow[];
  then: Map<number, RowThen>;
  reasons: Sentence[];
  time: SchoolTime;
  chosen: string | null;
  onChoose: (key: string) => void;
}

function Rows({ rows, then, reasons, time, chosen, onChoose }: RowsProps) {
  return (
    <ul className={css.rows}>
      {rows.map((row, place) => {
        const was = then.get(place);
        return row.former && was === undefined ? null : (
          <li key={row.key} className={clsx(row.kind === 'module' && css.module, row.former && css.former)} style={{ '--depth': row.depth } as CSSProperties}>
            <button type="button" aria-pressed={row.key === chosen} onClick={() => onChoose(row.key)}>
              {was === undefined ? <span /> : <Arch glyph={was.glyph} look={was.look} size={16} />}
              <b title={row.former ? say('past.former') : undefined}>{row.title}</b>
              <small>
                {was === undefined ? (
                  say('past.not_there')
                ) : (
                  <>
                    <Words segments={reasons[was.reason]?.segments ?? []} /> · {say('past.since', { when: time.words(was.since) })}
                  </>
                )}
              </small>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

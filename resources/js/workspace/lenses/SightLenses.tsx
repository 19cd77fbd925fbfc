import { type ReactNode, useCallback, useEffect, useMemo, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import { useShared } from '../../lib/page';
import { useShortcuts } from '../../lib/shortcuts';
import { differ, ticksOf } from '../../lib/sights';
import { isoOf, SchoolTime } from '../../lib/time';
import { labelled } from '../../lib/vantage';
import type { Expected, OutlineRow, Vantage, WorkspacePage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import type { Sights } from '../useSights';
import { WhySheet } from '../sheet/WhySheet';
import { Grid } from '../grid/Grid';
import { tickFrom, TimeRail } from '../TimeRail';
import { capital } from '../../lib/words';
import { LANES, type Zoom, ZOOMS } from './timeline';
import { TimelineGrid } from './TimelineGrid';
import { sightlineColumns, SightCell, type VantageActs } from './sightlines';
import { useSightCells } from './useSightCells';
import { to } from '../../lib/route';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export interface SightLensesProps {
  page: WorkspacePage;
  sights: Sights;
  /** Of the course, by the rules that are looked at. */
  expected: Expected[];
  corner: (rows: number) => ReactNode;
  /** The rows that the filter lets through, with their indexes among all rows. */
  rows: { row: OutlineRow; index: number }[];
  here: string | null;
  onHere: (row: string) => void;
  sheet: boolean;
  onSheet: (open: boolean) => void;
  /** The vantages that are to be shown; null: the usual ones. */
  onVantages: (vantages: string[] | null) => void;
  onWho: () => void;
  onCourse: () => void;
  /** Shows the rule of a row, with a word of it to be edited. */
  onRule: (item: string, word: string | null, plan: string | null) => void;
}

/** Another day for a holder, or another diligence, as addresses name them. */
function changed(vantage: Vantage, day: number, diligent: boolean): string {
  return `${vantage.kind === 'observer' ? 'observer:' : ''}${labelled(vantage.labels)}${diligent ? 'diligent' : 'holder'}:${day}:${vantage.offer ?? ''}`;
}

/** The lenses that show what comes out, with the time rail under them and the reasons beside them. */
export function SightLenses({ page, sights, expected, corner, rows, here, onHere, sheet, onSheet, onVantages, onWho, onCourse, onRule }: SightLensesProps) {
  const { course, rows: all, offsets } = page;
  const { school } = useShared();
  const { grid, at, setAt } = sights;
  const time = useMemo(() => new SchoolTime(offsets, grid.now), [offsets, grid.now]);
  const ids = grid.vantages.map(({ id }) => id);
  const [asked] = useState(() => new URLSearchParams(window.location.search));
  const [compared, setCompared] = useState<string[]>(() => asked.getAll('compare[]').concat(asked.getAll('compare[0]'), asked.getAll('compare[1]')));
  const [onlyChanged, setOnlyChanged] = useState(false);
  const [barred, setBarred] = useState<string[] | null>(() => {
    const bars = asked.getAll('bars[]').concat(asked.getAll('bars[0]'), asked.getAll('bars[1]'), asked.getAll('bars[2]'));
    return bars.length > 0 ? bars : null;
  });
  const [zoom, setZoom] = useState<Zoom>(() => ZOOMS.find((one) => one.zoom === asked.get('zoom'))?.zoom ?? 'week');
  const [who, setWho] = useState<string | null>(asked.get('who'));

  // A link to the cell of somebody who is not among the columns brings them along.
  const [sentTo] = useState(() => (who === null || ids.includes(who) ? null : who));
  useEffect(() => {
    if (sentTo !== null) {
      onVantages([...ids, sentTo]);
    }
    // Once, as the page is come to.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const pair = compared.map((id) => ids.indexOf(id)).filter((index) => index >= 0);
  const comparing = pair.length === 2;
  const columns = comparing ? pair : ids.map((_, index) => index);
  const chosen = who !== null && columns.includes(ids.indexOf(who)) ? ids.indexOf(who) : (columns[0] ?? null);
  // Bars of holders first: theirs are the times that are worked on.
  const usual = [...grid.vantages.keys()].toSorted((one, other) => Number(grid.vantages[other]?.kind === 'holder') - Number(grid.vantages[one]?.kind === 'holder')).slice(0, 2);
  const lanes = barred === null ? usual : barred.map((id) => ids.indexOf(id)).filter((index) => index >= 0).slice(0, LANES);
  const toggleLane = (index: number) => {
    const now = lanes.includes(index) ? lanes.filter((lane) => lane !== index) : [...lanes, index].slice(-LANES);
    setBarred(now.map((lane) => ids[lane] ?? ''));
  };
  const cells = useSightCells(grid, at, all, expected, sights.isNow);
  const { sight, count } = cells;
  const isChanged = (row: number) => cells.isChanged(row, columns);
  const inPairDiffers = (row: number) => differ(sight(row, pair[0]), sight(row, pair[1])) || count(row, pair[0])?.open !== count(row, pair[1])?.open;
  const shown = rows.filter(({ index }) => (!comparing || inPairDiffers(index)) && (!onlyChanged || grid.before === null || isChanged(index)));
  const ticks = useMemo(
    () => ticksOf(grid, rows.map(({ index }) => index), page.lens === 'timeline' ? lanes : columns),
    // Columns are new in every drawing; their names tell whether they differ.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [grid, rows, (page.lens === 'timeline' ? lanes : columns).join()],
  );
  const named = columns.join();
  const blind = useMemo(() => columns.map((column) => all.length > 0 && all.every((_, row) => sight(row, column)?.state !== 'open')), [sight, all, named]); // eslint-disable-line react-hooks/exhaustive-deps
  const cell = useCallback(
    (index: number, place: number) => {
      const before = cells.published(index, columns[place]);
      return <SightCell time={time} sight={cells.sight(index, columns[place])} count={cells.count(index, columns[place])} expected={cells.expected(index, columns[place])} {...(before === undefined ? {} : { before })} />;
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [cells, time, named],
  );

  // What is compared and which column the sheet is about live in the address, so that they can be sent to somebody.
  const addressed = sheet ? who : null;
  useEffect(() => {
    window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { compare: compared.length === 2 ? compared : null, who: addressed, zoom: zoom === 'week' ? null : zoom, bars: barred }));
  }, [compared, addressed, zoom, barred]);

  const step = (by: 1 | -1) => {
    const tick = tickFrom(ticks, at, by);
    if (tick !== undefined && sights.state === 'ready') {
      setAt(tick.at);
    }
  };
  const close = () => {
    onSheet(false);
    document.querySelector<HTMLElement>('main [data-cell][tabindex="0"]')?.focus();
  };
  const open = (row: string | null, vantage: string | null) => {
    if (row !== null) {
      onHere(row);
    }
    setWho(vantage ?? ids[columns[0] ?? 0] ?? null);
    onSheet(true);
  };
  useShortcuts({
    '[': () => step(-1),
    ']': () => step(1),
    '0': () => setAt(null),
    w: () => {
      const focused = document.activeElement instanceof HTMLElement ? document.activeElement.closest<HTMLElement>('td[data-row]') : null;
      open(focused?.dataset['row'] ?? here ?? shown[0]?.row.key ?? null, focused?.dataset['column'] ?? who);
    },
    v: onWho,
    ...(sheet ? { escape: close } : comparing ? { escape: () => setCompared([]) } : {}),
  });

  const replace = (vantage: Vantage, by: string) => onVantages(ids.map((id) => (id === vantage.id ? by : id)));
  const look = (vantage: Vantage) => ({ v: [vantage.id], see: grid.see === 'published' ? 'published' : null });
  const acts: VantageActs = {
    onDay: (vantage, day) => replace(vantage, changed(vantage, day - time.daysBetween(grid.now, at), vantage.diligent)),
    onDiligent: (vantage) => replace(vantage, changed(vantage, vantage.day ?? 0, !vantage.diligent)),
    onMove: (vantage, by) => {
      const next = [...ids];
      const from = next.indexOf(vantage.id);
      next.splice(from + by, 0, ...next.splice(from, 1));
      onVantages(next);
    },
    onDrop: (vantage) => onVantages(ids.filter((id) => id !== vantage.id)),
    onCompare: (vantage, other) => setCompared([vantage.id, other.id]),
    standIn: (vantage) => withQuery(to('keep.stand-in', { course: course.key }), { ...look(vantage), at: sights.isNow ? null : isoOf(at) }),
    calendar: (vantage) => withQuery(to('keep.calendar', { course: course.key }), look(vantage)),
  };
  const names = pair.map((index) => grid.vantages[index]?.name ?? '');
  const row = all.find(({ key }) => key === here) ?? shown[0]?.row ?? all[0];
  const vantage = chosen === null ? undefined : grid.vantages[chosen];
  const sheeted = sheet && row !== undefined && vantage !== undefined;
  return (
    <>
      <div className={css.lensbox}>
        {page.lens === 'timeline' && grid.vantages.length > 0 && (
          <div className={clsx(css.strip, css.legend)}>
            <ul>
              {grid.vantages.map((one, index) => (
                <li key={one.id}>
                  <button type="button" aria-pressed={lanes.includes(index)} title={lanes.includes(index) ? say('lenses.sight_lenses.take_the_bars_away') : say('lenses.sight_lenses.show_their_bars')} onClick={() => toggleLane(index)}>
                    {lanes.includes(index) && <i className={clsx(css.key, css[`bar-${lanes.indexOf(index)}`])} aria-hidden />}
                    {capital(one.name)}
                  </button>
                </li>
              ))}
            </ul>
            {lanes[0] !== undefined && (
              <span>
                {saying('lenses.sight_lenses.most_diligent', { bar: <i key="bar" className={clsx(css.key, css.best)} aria-hidden />, name: grid.vantages[lanes[0]]?.name })}
              </span>
            )}
            <div className={css.seg} role="group" aria-label={say('lenses.sight_lenses.scale_of_time')}>
              {ZOOMS.map((one) => (
                <button key={one.zoom} type="button" aria-pressed={zoom === one.zoom} onClick={() => setZoom(one.zoom)}>
                  {one.title}
                </button>
              ))}
            </div>
          </div>
        )}
        {grid.missing && <p className={css.strip}>{say('lenses.sight_lenses.some_those_who_were')}</p>}
        {comparing && (
          <p className={css.strip} role="status">
          {saying('lenses.sight_lenses.differ', {
            what: <b key="what">{say('lenses.sight_lenses.differ_in', { one: names[0] ?? '', other: names[1] ?? '', shown: shown.length, rows: rows.length })}</b>,
            when: time.words(at),
            all: (
              <button key="all" type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setCompared([])}>
                {say('lenses.sight_lenses.show_all_columns_again')}
              </button>
            ),
          })}
          </p>
        )}
        {grid.before !== null && (
          <p className={css.strip} role="status">
            {saying('lenses.sight_lenses.once_published', {
            what: <b key="what">{say('lenses.sight_lenses.rows_change', { count: rows.filter(({ index }) => isChanged(index)).length, rows: rows.length })}</b>,
            toggle: (
              <button key="toggle" type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setOnlyChanged(!onlyChanged)}>
                {onlyChanged ? say('lenses.sight_lenses.show_all_rows') : say('lenses.sight_lenses.show_only_those')}
              </button>
            ),
          })}
        </p>
        )}
        {grid.vantages.length === 0 ? (
          <div className={ui.empty}>
            <p>
              {saying('lenses.sight_lenses.choose_eyes', { nobody: <b key="nobody">{say('lenses.sight_lenses.nobody_looks')}</b> })}
            </p>
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={onWho}>
              {say('lenses.sight_lenses.choose_who_looks')}
            </button>
          </div>
        ) : page.lens === 'timeline' ? (
          <TimelineGrid
            page={page}
            sights={sights}
            time={time}
            corner={corner(shown.length)}
            rows={shown}
            lanes={lanes}
            zoom={zoom}
            here={here}
            onHere={(key) => {
              onHere(key);
              setWho(ids[lanes[0] ?? 0] ?? null);
            }}
            onWhy={(key) => open(key, ids[lanes[0] ?? 0] ?? null)}
          />
        ) : (
          <Grid
            caption={say('lenses.sight_lenses.caption', { title: course.title, when: time.words(at), zone: school.zoneName })}
            corner={corner(shown.length)}
            columns={sightlineColumns({ grid, at, time, shown: columns, sheeted, blind, chosen: sheeted ? chosen : null, acts })}
            rows={shown}
            startAt={here}
            onFocusRow={(one) => onHere(one.key)}
            onFocusColumn={(column) => setWho(ids[columns[column] ?? -1] ?? null)}
            onCell={(index, column) => open(all[index]?.key ?? null, ids[columns[column] ?? -1] ?? null)}
            onEnter={(index, column) => open(all[index]?.key ?? null, ids[columns[column] ?? -1] ?? null)}
            onOpenRow={(index) => open(all[index]?.key ?? null, ids[chosen ?? -1] ?? null)}
            cell={cell}
          />
        )}
      </div>
      {sheeted && (
        <WhySheet
          course={course.key}
          version={course.draftVersion}
          revision={course.revision}
          expectations={page.expectations}
          row={row}
          rows={all}
          tiers={page.tiers.length > 0}
          vantage={vantage}
          at={at}
          see={grid.see}
          time={time}
          mayEdit={page.mayEdit}
          onShow={onHere}
          onAt={setAt}
          onVantage={(id, when) => {
            setAt(when);
            setWho(id);
            onVantages(ids.includes(id) ? ids : [...ids, id]);
          }}
          onCourse={onCourse}
          onRule={onRule}
          onClose={close}
        />
      )}
      <footer className={clsx(css.rail, css.timed)}>
        <TimeRail sights={sights} ticks={ticks} time={time} zoneName={school.zoneName} revisions={sights.grid.revisions} />
      </footer>
    </>
  );
}


import { type PointerEvent, useMemo } from 'react';
import { clsx } from 'clsx';

import { sightAt, turnsOf } from '../../lib/sights';
import { DAY, monthName, type SchoolTime, weekdayName } from '../../lib/time';
import type { OutlineRow, Sight, SightlinesGrid } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export type Zoom = 'day' | 'week' | 'month' | 'term';

export const ZOOMS: { zoom: Zoom; title: string }[] = [
  { zoom: 'day', title: say('lenses.timeline.day') },
  { zoom: 'week', title: say('lenses.timeline.week') },
  { zoom: 'month', title: say('lenses.timeline.month') },
  { zoom: 'term', title: say('lenses.timeline.term') },
];

/** Pixels a day. */
const SCALES: Record<Zoom, number> = { day: 40, week: 7.1, month: 2.4, term: 1 };

/** At most so many vantages are drawn in a row. */
export const LANES = 3;

/** Top and height of each bar, by how many there are. */
const PLACES: Record<number, [number, number][]> = { 1: [[12, 9]], 2: [[7, 8], [20, 6]], 3: [[4, 7], [14, 6], [24, 5]] };

/** Of an axis: at the scale of days it would be too wide to scroll through. */
const MOST_DAYS: Record<Zoom, number> = { day: 730, week: 1460, month: 1460, term: 1460 };

/** A stretch of time on an axis. */
export interface Axis {
  from: number;
  to: number;
  zoom: Zoom;
  width: number;
  x: (instant: number) => number;
}

/** From a little before the first bar to a little after the last, and wide enough to fill the screen. */
export function axisOf(grid: SightlinesGrid, lanes: number[], zoom: Zoom, at: number, time: SchoolTime): Axis {
  let first = Math.min(grid.now, at);
  let last = Math.max(grid.now, at);
  for (const cells of grid.cells) {
    for (const lane of lanes) {
      for (const { since } of turnsOf(grid, cells[lane]).slice(1)) {
        first = Math.min(first, since);
        last = Math.max(last, since);
      }
    }
  }
  const from = time.dayStart(Math.max(first, grid.now - 200 * DAY, grid.overTime ? grid.from : 0), -6);
  const days = Math.min(MOST_DAYS[zoom], Math.max(Math.ceil((last - from) / DAY) + 12, Math.ceil(1200 / SCALES[zoom])));
  const scale = SCALES[zoom] / DAY;
  const to = from + days * DAY;
  return { from, to, zoom, width: Math.round(days * SCALES[zoom]), x: (instant) => (Math.min(Math.max(instant, from), to) - from) * scale };
}

export function daysAt(axis: Axis, pixels: number): number {
  return Math.round(pixels / SCALES[axis.zoom]);
}

/** Months or years on top, days, weeks or months below. */
export function AxisHead({ axis, time, now, at }: { axis: Axis; time: SchoolTime; now: number; at: number }) {
  const marks = useMemo(() => {
    const { from, to, zoom } = axis;
    const big: { at: number; name: string }[] = [];
    const small: { at: number; name: string }[] = [];
    const yearly = zoom === 'month' || zoom === 'term';
    for (const { day, at: begins } of time.days(from, to, ({ date, weekday }) => zoom === 'day' || date === 1 || (zoom === 'week' && weekday === 1))) {
      if (yearly ? day.date === 1 && day.month === 0 : day.date === 1) {
        big.push({ at: begins, name: yearly ? String(day.year) : monthName(day, 'long', day.month === 0 || big.length === 0) });
      }
      if (zoom === 'day' || (zoom === 'week' && day.weekday === 1)) {
        small.push({ at: begins, name: zoom === 'day' ? weekdayName(day) : String(day.date) });
      } else if (yearly && day.date === 1 && (zoom === 'month' || day.month % 3 === 0)) {
        small.push({ at: begins, name: monthName(day, 'short') });
      }
    }
    return { big, small };
  }, [axis, time]);
  return (
    <div className={css.axis} style={{ width: axis.width }}>
      {marks.big.map(({ at: when, name }) => (
        <span key={when} className={css.m} style={{ left: axis.x(when) }}>
          {name}
        </span>
      ))}
      {marks.small.map(({ at: when, name }) => (
        <span key={when} className={css.w} style={{ left: axis.x(when) }}>
          {name}
        </span>
      ))}
      <i className={css.today} style={{ left: axis.x(now) }} />
      {at !== now && <i className={css.asat} style={{ left: axis.x(at) }} />}
    </div>
  );
}

export interface LaneGrip {
  /** Where it stands while it is not moved. */
  at: number;
  /** Moved by so many days; null: not held. */
  moved: number | null;
  onHold: (event: PointerEvent<HTMLElement>) => void;
}

export interface TimelineCellProps {
  grid: SightlinesGrid;
  axis: Axis;
  time: SchoolTime;
  at: number;
  row: number;
  rows: OutlineRow[];
  /** Indexes of the vantages that are drawn, the first with its best case. */
  lanes: number[];
  /** The grip at the opening of the first; null where nothing can be moved. */
  grip: LaneGrip | null;
}

interface Bar {
  from: number;
  to: number | null;
}

function barsOf(grid: SightlinesGrid, cell: readonly number[] | undefined): Bar[] {
  const bars: Bar[] = [];
  let open: number | null = null;
  for (const { sight, since } of turnsOf(grid, cell)) {
    if (sight.state === 'open') {
      open ??= since;
    } else if (open !== null) {
      bars.push({ from: open, to: since });
      open = null;
    }
  }
  return open === null ? bars : [...bars, { from: open, to: null }];
}

/** A row of the Timeline: a bar for each vantage from opening to closing. */
export function TimelineCell({ grid, axis, time, at, row, rows, lanes, grip }: TimelineCellProps) {
  const [first] = lanes;
  const best = first === undefined ? [] : (grid.best?.[first] ?? []);
  const places = PLACES[lanes.length] ?? [];
  const told = lanes.map((lane) => ({ lane, bars: barsOf(grid, grid.cells[row]?.[lane]), before: grid.before === null ? null : barsOf(grid, grid.before[row]?.[lane]) }));
  const sight = first === undefined ? undefined : sightAt(grid, grid.cells[row]?.[first], at);
  return (
    <div className={css.lane} style={{ width: axis.width }}>
      <i className={css.today} style={{ left: axis.x(grid.now) }} />
      {at !== grid.now && <i className={css.asat} style={{ left: axis.x(at) }} />}
      {told.map(({ lane, bars, before }, place) => {
        const [top = 12, height = 9] = places[place] ?? [];
        return (
          <span key={lane}>
            {before !== null && !sameBars(before, bars) && before.map((bar) => <b key={bar.from} className={css.ghost} style={{ left: axis.x(bar.from), width: axis.x(bar.to ?? axis.to) - axis.x(bar.from), top: top - 2, height: height + 4 }} />)}
            {bars.map((bar) => (
              <b
                key={bar.from}
                className={clsx(css.bar, css[`bar-${place}`], bar.from > axis.from && css.begins, (bar.to !== null && bar.to < axis.to) && css.ends)}
                style={{ left: axis.x(bar.from), width: Math.max(2, axis.x(bar.to ?? axis.to) - axis.x(bar.from)), top, height }}
              />
            ))}
          </span>
        );
      })}
      <BestCase best={best} rows={rows} row={row} axis={axis} />
      {told[0]?.bars.length === 0 && (
        <em style={{ left: Math.max(axis.x(at), axis.x(best[row] ?? 0)) + 14 }}>
          {notOpen(sight, best[row] ?? null, time)}
        </em>
      )}
      {grip !== null && (
        <button
          type="button"
          tabIndex={-1}
          className={css.grip}
          aria-label={say('lenses.move_opening.move_opening_title', { title: rows[row]?.title ?? '' })}
          style={{ left: axis.x(grip.at) + (grip.moved ?? 0) * SCALES[axis.zoom], ...(grip.moved !== null ? { opacity: 1 } : {}) }}
          onPointerDown={(event) => grip.onHold(event)}
          onClick={(event) => event.stopPropagation()}
        />
      )}
      <span className={ui.vh}>{told.map(({ lane, bars }) => `${grid.vantages[lane]?.name ?? ''}: ${barWords(bars, grid, time)}.`).join(' ')}</span>
    </div>
  );
}

function sameBars(some: Bar[], others: Bar[]): boolean {
  return some.length === others.length && some.every((bar, index) => bar.from === others[index]?.from && bar.to === others[index]?.to);
}

function notOpen(sight: Sight | undefined, best: number | null, time: SchoolTime): string {
  if (sight?.state === 'hidden') {
    return say('lenses.timeline.hidden');
  }
  if (best !== null) {
    return say('lenses.timeline.once_finished', { date: time.date(best) });
  }
  return sight === undefined || sight.word === null ? say('lenses.timeline.never') : say('lenses.timeline.never_why', { why: sight.word });
}

function barWords(bars: Bar[], grid: SightlinesGrid, time: SchoolTime): string {
  if (bars.length === 0) {
    return say('lenses.timeline.not_open');
  }
  return bars
    .map(({ from, to }) => {
      const opens = from <= grid.from ? say('lenses.timeline.open') : say('lenses.timeline.opens', { when: time.words(from) });
      return to === null ? opens : say('lenses.timeline.closes', { opens, when: time.words(to) });
    })
    .join('; ');
}

/** The way of the most diligent through the rows: a dot at each lesson, and a line that leads there from the one before. */
function BestCase({ best, rows, row, axis }: { best: (number | null)[]; rows: OutlineRow[]; row: number; axis: Axis }) {
  const counts = (index: number) => rows[index]?.kind === 'lesson' && best[index] !== null && best[index] !== undefined && (best[index] ?? 0) >= axis.from;
  let before = row - 1;
  while (before >= 0 && !counts(before)) {
    before--;
  }
  let after = row + 1;
  while (after < rows.length && !counts(after)) {
    after++;
  }
  const from = before < 0 ? null : axis.x(best[before] ?? 0);
  const here = counts(row) ? axis.x(best[row] ?? 0) : null;
  const leads = after < rows.length;
  if (here === null) {
    return from !== null && leads ? <i className={css.best} style={{ left: from, top: 0, height: 34 }} /> : null;
  }
  return (
    <>
      {from !== null && <i className={css.best} style={{ left: from, top: 0, height: 17 }} />}
      {from !== null && from !== here && <i className={clsx(css.best, css.flat)} style={{ left: Math.min(from, here), width: Math.abs(here - from), top: 16 }} />}
      {leads && <i className={css.best} style={{ left: here, top: 17, height: 17 }} />}
      <i className={css.dot} style={{ left: here }} />
    </>
  );
}

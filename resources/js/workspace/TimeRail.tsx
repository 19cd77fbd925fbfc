import { type KeyboardEvent, type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { clsx } from 'clsx';
import { say, saying } from '../lib/keepSay';

import type { RevisionMark } from '../lib/generated/types';
import type { Tick } from '../lib/sights';
import { DAY, monthName, type SchoolTime, wallWords } from '../lib/time';
import { typedTime } from '../lib/typedTime';
import type { Sights } from './useSights';
import css from './workspace.module.css';
import ui from '../ui/ui.module.css';

/** As much of what is looked at as the rail needs. */
export type RailTime = Pick<Sights, 'at' | 'isNow' | 'setAt' | 'state'> & { grid: Pick<Sights['grid'], 'from' | 'now' | 'overTime'> };

export interface TimeRailProps {
  sights: RailTime;
  ticks: Tick[];
  time: SchoolTime;
  zoneName: string;
  /** Instants at which other rules went live. */
  revisions?: RevisionMark[];
  /** The last instant that can be looked at; left out: as far ahead as is worth showing. */
  until?: number;
}

/** To the tick before or after an instant, where there is one. */
export function tickFrom(ticks: Tick[], at: number, step: 1 | -1): Tick | undefined {
  return step === 1 ? ticks.find((tick) => tick.at > at) : ticks.findLast((tick) => tick.at < at);
}

/** As far as is worth showing: to the last tick of about a year, and to what is looked at. */
function reach({ grid, at }: RailTime, ticks: Tick[], until: number | undefined): { from: number; to: number } {
  const last = ticks.findLast((tick) => tick.at < grid.now + 400 * DAY)?.at ?? grid.now;
  return { from: Math.min(grid.overTime ? grid.from : grid.now - 60 * DAY, at - 2 * DAY), to: until ?? Math.max(last + 10 * DAY, grid.now + 120 * DAY, at + 14 * DAY) };
}

/** The ruler of time under the grid: a tick at each instant when a shown cell changes. */
export function TimeRail({ sights, ticks, time, zoneName, revisions, until }: TimeRailProps) {
  const { grid, at, isNow, setAt, state } = sights;
  const ruler = useRef<SVGSVGElement>(null);
  const [width, setWidth] = useState(900);
  const [held, setHeld] = useState<{ from: number; to: number } | null>(null);
  const span = reach(sights, ticks, until);
  // While it is dragged the ruler stays where it is.
  const { from, to } = held ?? span;
  const x = (instant: number) => ((instant - from) / (to - from)) * width;
  const rules = !isNow && at < grid.now ? revisions?.findLast((mark) => mark.at <= at) : undefined;
  const next = tickFrom(ticks, at, 1);
  const before = tickFrom(ticks, at, -1);

  useEffect(() => {
    const element = ruler.current;
    if (element === null) {
      return undefined;
    }
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const moveTo = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = Math.min(1, Math.max(0, (event.clientX - box.left) / box.width));
    const instant = Math.round((from + share * (to - from)) / 60) * 60;
    // The pointer holds on to a tick that is near.
    const near = ticks.find((tick) => Math.abs(x(tick.at) - x(instant)) < 3);
    setAt(near?.at ?? instant);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const steps: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, ArrowUp: 1, ArrowDown: -1, PageUp: 7, PageDown: -7 };
    const days = steps[event.key];
    if (days !== undefined && state === 'ready') {
      event.preventDefault();
      setAt(at + days * DAY);
    } else if (event.key === 'Home') {
      event.preventDefault();
      setAt(null);
    }
  };
  return (
    <>
      <div className={css.at}>
        <WhenField key={at} at={at} time={time} zoneName={zoneName} onAt={setAt} />
        <span className={css.then} role="status" title={rules?.words}>
          {state === 'ready' && rules !== undefined ? say('workspace.time_rail.as_it_was', { rules: rules.words }) : state === 'waiting' ? say('workspace.time_rail.looking_ahead') : state === 'failed' ? say('workspace.time_rail.what_comes_could_not') : next === undefined ? say('workspace.time_rail.nothing_changes_after_this') : say('workspace.time_rail.next', { when: time.words(next.at) })}
          {state === 'ready' && rules === undefined && next !== undefined && <span className={css.cells}>{say('workspace.time_rail.next_cells', { count: next.cells })}</span>}
        </span>
        <div className={css.steps}>
          <Step label={say('workspace.time_rail.to_the_change_before')} keyName="[" disabled={before === undefined} onClick={() => before !== undefined && setAt(before.at)} />
          <Step label={say('workspace.time_rail.back_to_now')} keyName="0" disabled={isNow} onClick={() => setAt(null)} />
          <Step label={say('workspace.time_rail.to_the_next_change')} keyName="]" disabled={next === undefined} onClick={() => next !== undefined && setAt(next.at)} />
        </div>
      </div>
      <svg
        ref={ruler}
        className={clsx(css.ruler, !(state === 'ready') && css.waits)}
        role="slider"
        tabIndex={0}
        aria-label={say('workspace.time_rail.time_that_looked_at', { zone_name: zoneName })}
        aria-valuemin={from}
        aria-valuemax={to}
        aria-valuenow={at}
        aria-valuetext={`${time.words(at)}${isNow ? ', now' : ''}`}
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          if (state === 'ready' && event.button === 0) {
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld(span);
            moveTo(event);
          }
        }}
        onPointerMove={(event) => held !== null && moveTo(event)}
        onPointerUp={() => setHeld(null)}
        onPointerCancel={() => setHeld(null)}
      >
        <rect className={css.past} x={0} y={17} width={Math.max(0, x(grid.now))} height={13} />
        <Scale from={from} to={to} x={x} time={time} />
        {ticks.map((tick) =>
          tick.at < from || tick.at > to ? null : (
            <path key={tick.at} className={tick.shuts > tick.opens ? css['k-shut'] : tick.opens > 0 ? css['k-open'] : css['k-other']} strokeWidth={2} d={`M${x(tick.at)} 18v12`}>
              <title>{`${time.words(tick.at)}: ${tickWords(tick)}`}</title>
            </path>
          ),
        )}
        {revisions?.map((mark) => (
          <path key={mark.number} className={css.revision} d={`M${x(mark.at)} 30l-4 7h8z`}>
            <title>{`${time.words(mark.at)}: ${mark.words}`}</title>
          </path>
        ))}
        <path className={css.base} d={`M0 30.5H${width}`} />
        {!isNow && <path className={css.now} strokeDasharray="2 2" d={`M${x(grid.now)} 16v27`} />}
        <path className={css.now} d={`M${x(at)} 16v20`} />
        <path className={css.knob} d={`M${x(at) - 5.5} 43V36.5a5.5 5.5 0 0 1 11 0V43z`} />
      </svg>
    </>
  );
}

function tickWords({ cells, opens, shuts }: Tick): string {
  const parts = [opens > 0 ? say('workspace.time_rail.opens_open', { opens }) : '', shuts > 0 ? say('workspace.time_rail.shuts_shut', { shuts }) : ''].filter((part) => part !== '');
  return parts.length === 0 ? say('workspace.time_rail.cells_change', { count: cells }) : parts.join(', ');
}

function Step({ label, keyName, disabled, onClick }: { label: string; keyName: string; disabled: boolean; onClick: () => void }) {
  return (
    <button type="button" title={label} disabled={disabled} onClick={onClick}>
      {keyName}
      <span className={ui.vh}> {label}</span>
    </button>
  );
}

/** The instant in words, which becomes a field to jump to a date. */
function WhenField({ at, time, zoneName, onAt }: { at: number; time: SchoolTime; zoneName: string; onAt: (at: number | null) => void }) {
  const [typing, setTyping] = useState(false);
  if (!typing) {
    return (
      <p>
        {saying('workspace.time_rail.as_of', {
              when: (
                <button type="button" className={css.when} title={say('workspace.time_rail.jump_to_a_date')} onClick={() => setTyping(true)}>
                  {time.words(at)}
                </button>
              ),
            })}
      </p>
    );
  }
  return (
    <input
      autoFocus
      autoComplete="off"
      placeholder={say('keep.dates.like')}
      aria-label={say('workspace.time_rail.jump_date_and_time', { zone_name: zoneName })}
      defaultValue={wallWords(time.wall(at)) ?? ''}
      onFocus={({ currentTarget }) => currentTarget.select()}
      onBlur={(event) => {
        const wall = typedTime(event.currentTarget.value, time.wall(Date.now() / 1000));
        const instant = wall === null ? null : time.instant(wall);
        setTyping(false);
        if (instant !== null && wall !== time.wall(at)) {
          onAt(instant);
        }
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.currentTarget.blur();
        } else if (event.key === 'Escape') {
          event.stopPropagation();
          setTyping(false);
        }
      }}
    />
  );
}

/** Months in words, and weeks where there is room. */
function Scale({ from, to, x, time }: { from: number; to: number; x: (instant: number) => number; time: SchoolTime }) {
  const { months, weeks } = useMemo(() => {
    const marks: { months: { at: number; name: string }[]; weeks: number[] } = { months: [], weeks: [] };
    for (const { day, at } of time.days(from, to, ({ date, weekday }) => date === 1 || weekday === 1)) {
      if (day.date === 1) {
        marks.months.push({ at, name: monthName(day, 'long', day.month === 0) });
      } else {
        marks.weeks.push(at);
      }
    }
    return marks;
  }, [from, to, time]);
  const roomy = months.length < 2 || x(months[1]?.at ?? 0) - x(months[0]?.at ?? 0) > 62;
  return (
    <>
      {weeks.map((at) => (
        <path key={at} className={css.week} d={`M${x(at)} 25v5`} />
      ))}
      {months.map(({ at, name }) => (
        <g key={at}>
          <path className={css.month} d={`M${x(at)} 18v12`} />
          <text x={x(at) + 4} y={12}>
            {roomy ? name : name.slice(0, 3)}
          </text>
        </g>
      ))}
    </>
  );
}

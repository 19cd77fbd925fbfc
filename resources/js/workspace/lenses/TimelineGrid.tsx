import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react';

import { turnsOf } from '../../lib/sights';
import { say } from '../../lib/keepSay';
import { listed } from '../../lib/words';
import type { SchoolTime } from '../../lib/time';
import type { OutlineRow, WorkspacePage } from '../../lib/generated/types';
import type { Sights } from '../useSights';
import { Grid } from '../grid/Grid';
import { MoveOpening, type MovedRule } from './MoveOpening';
import { AxisHead, axisOf, daysAt, TimelineCell, type Zoom } from './timeline';
import css from '../workspace.module.css';

export interface TimelineGridProps {
  page: WorkspacePage;
  sights: Sights;
  time: SchoolTime;
  corner: ReactNode;
  rows: { row: OutlineRow; index: number }[];
  /** Indexes of the vantages whose bars are drawn; openings are moved on those of the first. */
  lanes: number[];
  zoom: Zoom;
  here: string | null;
  onHere: (row: string) => void;
  onWhy: (row: string) => void;
}

/** An opening that is being moved. */
interface Moving {
  row: number;
  moved: MovedRule;
  days: number;
  held: boolean;
}

/** The Timeline lens: bars from opening to closing, whose openings can be dragged. */
export function TimelineGrid({ page, sights, time, corner, rows, lanes, zoom, here, onHere, onWhy }: TimelineGridProps) {
  const { course, rows: all } = page;
  const { grid, at } = sights;
  const box = useRef<HTMLDivElement>(null);
  const [moving, setMoving] = useState<Moving | null>(null);
  const [first] = lanes;
  const vantage = first === undefined ? undefined : grid.vantages[first];
  const edge = useRef(at);
  const names = lanes.join();
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const axis = useMemo(() => axisOf(grid, lanes, zoom, edge.current, time), [grid, names, zoom, time]);

  // The instant that is looked at stands near the left edge at first, and after each change of scale.
  useEffect(() => {
    const scroll = box.current?.querySelector(`.${css.scroll ?? ''}`);
    if (scroll !== null && scroll !== undefined) {
      scroll.scrollLeft = Math.max(0, axis.x(edge.current) - 140);
    }
  }, [axis]);

  /** When a row opens by itself; else when it would at best, or where what is counted from begins. */
  const opensAt = (index: number): number => {
    const turn = turnsOf(grid, grid.cells[index]?.[first ?? -1]).find(({ sight }) => sight.state === 'open');
    return turn !== undefined && turn.since > grid.from ? turn.since : (grid.best?.[first ?? -1]?.[index] ?? vantage?.since ?? grid.now);
  };
  /** The rule that says when a row opens: its own, or that of what it stands in. */
  const ruleOf = (index: number): MovedRule | null => {
    const plan = vantage === undefined ? null : vantage.offer === null ? page.mainPlan : vantage.plan;
    const openings = plan === null ? undefined : grid.openings[plan];
    if (vantage === undefined || plan === null || openings === undefined) {
      return null;
    }
    let setter = index;
    while (openings[setter] === null) {
      const depth = all[setter]?.depth ?? 0;
      const above = all.slice(0, setter).findLastIndex((row) => row.depth < depth);
      if (above < 0) {
        break;
      }
      setter = above;
    }
    const rule = openings[setter] ?? null;
    const row = all[rule === null ? index : setter];
    if (row === undefined || rule?.rule === 'held') {
      return null;
    }
    return { row, plan, rule: rule?.rule === 'at_once' ? null : rule, opens: opensAt(rule === null ? index : setter), since: vantage.since };
  };
  const mayMove = page.mayEdit && grid.overTime && (grid.see !== 'published' || course.draftVersion === 0);
  const movable = (index: number) => {
    const moved = mayMove ? ruleOf(index) : null;
    // Without dates of its own a row of those who hold no pass has nothing to be moved.
    return moved !== null && (moved.rule !== null || moved.since !== null) ? moved : null;
  };
  const hold = (index: number, startAt: number) => {
    const moved = movable(index);
    if (moved === null) {
      return;
    }
    setMoving({ row: index, moved, days: 0, held: true });
    const onMove = (event: PointerEvent) => setMoving((now) => (now === null ? now : { ...now, days: daysAt(axis, event.clientX - startAt) }));
    const onUp = () => {
      window.removeEventListener('pointermove', onMove);
      window.removeEventListener('pointerup', onUp);
      setMoving((now) => (now === null || now.days === 0 ? null : { ...now, held: false }));
    };
    window.addEventListener('pointermove', onMove);
    window.addEventListener('pointerup', onUp);
  };
  const whyOf = (index: number) => {
    const row = all[index];
    if (row !== undefined && moving === null) {
      onWhy(row.key);
    }
  };
  return (
    <div className={css.timelined} ref={box}>
      <Grid
        caption={say('lenses.timeline.caption', { title: course.title, names: listed(lanes.flatMap((lane) => grid.vantages[lane]?.name ?? []), 'and') })}
        corner={corner}
        columns={[{ id: 'time', width: axis.width, head: <AxisHead axis={axis} time={time} now={grid.now} at={at} /> }]}
        rows={rows}
        startAt={here}
        onFocusRow={(row) => onHere(row.key)}
        onEnter={(index) => {
          const moved = movable(index);
          if (moved === null) {
            whyOf(index);
          } else {
            setMoving({ row: index, moved, days: 0, held: false });
          }
        }}
        onCell={whyOf}
        onOpenRow={whyOf}
        cell={(index) => {
          const active = moving?.row === index ? moving : null;
          const grip = movable(index) === null ? null : { at: opensAt(index), moved: active?.days ?? null, onHold: (event: { clientX: number; preventDefault: () => void }) => [event.preventDefault(), hold(index, event.clientX)] };
          const cell = <TimelineCell grid={grid} axis={axis} time={time} at={at} row={index} rows={all} lanes={lanes} grip={grip} />;
          return active === null || vantage === undefined ? (
            cell
          ) : (
            <>
              {cell}
              <MoveOpening
                course={course.key}
                version={course.draftVersion}
                vantage={vantage.id}
                moved={active.moved}
                days={active.days}
                held={active.held}
                time={time}
                onDays={(days) => setMoving({ ...active, days })}
                onClose={() => setMoving(null)}
              >
                <span className={css.anchor} style={{ left: axis.x(active.moved.opens) }} />
              </MoveOpening>
            </>
          );
        }}
      />
    </div>
  );
}

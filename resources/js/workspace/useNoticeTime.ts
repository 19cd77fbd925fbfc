import { useEffect, useMemo, useRef, useState } from 'react';

import { withQuery } from '../lib/address';
import type { CourseHead, NoticesGrid, OutlineRow, SightlinesGrid } from '../lib/generated/types';
import { to } from '../lib/route';
import { type Tick, ticksOf } from '../lib/sights';
import { isoOf } from '../lib/time';
import { useAsked } from '../lib/useAsked';
import type { RailTime } from './TimeRail';

/** Milliseconds for which the rail rests before the notices of that instant are asked for. */
const REST = 250;

/**
 * Time in the lens of notices: what opens and shuts is known of in advance, what stands at the doors is asked for anew at each instant.
 *
 * @param onAt the instant that is wanted, as an address has it; null: now
 */
export function useNoticeTime(course: CourseHead, told: NoticesGrid, rows: { row: OutlineRow; index: number }[], onAt: (at: string | null) => void): { rail: RailTime; ticks: Tick[] } {
  const { answer, state } = useAsked<SightlinesGrid>(
    withQuery(to('keep.sightlines', { course: course.key }), { lens: 'notices', see: told.see, at: told.at === told.now ? null : isoOf(told.at), v: told.vantages.map(({ id }) => id), of: `${course.revision ?? 0}.${course.draftVersion}` }),
    undefined,
    0,
  );
  const [over, setOver] = useState<SightlinesGrid | null>(null);
  if (answer !== null && answer !== over) {
    // What was told of one instant holds for the others until it is told anew.
    setOver(answer);
  }
  const [moved, setMoved] = useState<number | null | undefined>(undefined);
  const ask = useRef(onAt);
  useEffect(() => {
    ask.current = onAt;
  });
  const at = moved === undefined ? told.at : (moved ?? told.now);
  useEffect(() => {
    if (moved === undefined || at === told.at) {
      return undefined;
    }
    const timer = window.setTimeout(() => ask.current(moved === null ? null : isoOf(moved)), REST);
    return () => window.clearTimeout(timer);
  }, [moved, at, told.at]);
  const ticks = useMemo(() => (over === null ? [] : ticksOf(over, rows.map(({ index }) => index), over.vantages.map((_, column) => column)).filter((tick) => tick.at >= told.now)), [over, rows, told.now]);
  // What stood at the doors in the past is told of each who came there, in their story.
  return { rail: { grid: { from: told.now, now: told.now, overTime: true }, at, isNow: at === told.now, setAt: (wanted) => setMoved(wanted === null ? null : Math.max(wanted, told.now)), state: over !== null ? 'ready' : state === 'failed' ? 'failed' : 'waiting' }, ticks };
}

import { useCallback, useEffect, useRef, useState } from 'react';

import { withQuery } from '../lib/address';
import { getJson } from '../lib/http';
import { isoOf } from '../lib/time';
import type { CourseHead, SightlinesGrid } from '../lib/generated/types';
import { to } from '../lib/route';

export interface Sights {
  /** Over time once it is there; until then of one instant. */
  grid: SightlinesGrid;
  /** The instant that is looked at. */
  at: number;
  isNow: boolean;
  /** Null: back to now. */
  setAt: (at: number | null) => void;
  /** Time cannot be moved yet: waiting for the server, or it has failed. */
  state: 'ready' | 'waiting' | 'failed';
}

/**
 * The grid at an instant that can be moved without asking the server: what comes over time is asked for once,
 * beside the page.
 *
 * @param told of the page; null in a lens without it
 * @param onFarBack an instant before all that was told is wanted
 */
export function useSights(course: CourseHead, lens: string, told: SightlinesGrid | null, onFarBack: (at: string) => void): Sights | null {
  const [moved, setMoved] = useState<number | null | undefined>(undefined);
  const [over, setOver] = useState<{ address: string; grid: SightlinesGrid | null } | null>(null);
  const address = told === null ? null : withQuery(to('keep.sightlines', { course: course.key }), {
    lens, see: told.see, at: told.at === told.now ? null : isoOf(told.at), v: told.vantages.map(({ id }) => id), of: `${course.revision ?? 0}.${course.draftVersion}`,
  });
  useEffect(() => {
    let wanted = true;
    if (address !== null) {
      void getJson<SightlinesGrid>(address).then((grid) => {
        if (wanted) {
          setOver({ address, grid });
        }
      });
    }
    return () => {
      wanted = false;
    };
  }, [address]);

  // The instant lives in the address; browsers refuse one that changes too often.
  useEffect(() => {
    if (moved === undefined) {
      return undefined;
    }
    const timer = window.setTimeout(() => {
      window.history.replaceState(window.history.state, '', withQuery(window.location.pathname + window.location.search, { at: moved === null ? null : isoOf(moved) }));
    }, 250);
    return () => window.clearTimeout(timer);
  }, [moved]);

  const grid = told === null ? null : over?.address === address && over.grid !== null ? over.grid : told;
  const farBack = useRef(onFarBack);
  useEffect(() => {
    farBack.current = onFarBack;
  });
  const from = grid?.overTime === true ? grid.from : null;
  const setAt = useCallback(
    (at: number | null) => {
      setMoved(at);
      if (at !== null && from !== null && at < from) {
        farBack.current(isoOf(at));
      }
    },
    [from],
  );
  if (told === null || grid === null) {
    return null;
  }
  const at = moved === undefined ? told.at : (moved ?? told.now);
  return { grid, at, isNow: at === told.now, setAt, state: grid.overTime ? 'ready' : over?.address === address ? 'failed' : 'waiting' };
}

import { uuid } from './uuid';

/** Stretches of a video in seconds, in the order in which they were played. */
export type Segments = [number, number][];

/** Follows a player: what was really played, however one goes back and forth in it. */
export class Played {
  readonly segments: Segments = [];
  #at: number | null = null;

  /** It plays, and is here now. */
  moved(seconds: number): void {
    const last = this.segments.at(-1);
    if (this.#at !== null && seconds > this.#at) {
      if (last !== undefined && last[1] === this.#at) {
        last[1] = seconds;
      } else {
        this.segments.push([this.#at, seconds]);
      }
    }
    this.#at = seconds;
  }

  /** It goes elsewhere: what lies between was not played. */
  left(): void {
    this.#at = null;
  }
}

/** How far one may go: to where watching without a gap has come. */
export function frontier(watched: readonly (readonly number[])[]): number {
  let reached = 0;
  for (const [from = 0, until = 0] of watched.toSorted((a, b) => (a[0] ?? 0) - (b[0] ?? 0))) {
    // Players begin a few hundredths late.
    if (from <= reached + 0.5) {
      reached = Math.max(reached, until);
    }
  }
  return reached;
}

const VIDEO = 'https://w3id.org/xapi/video';

/** A statement of the video profile of xAPI. Its actor says nothing to anybody else: who watches is known to the server from the session. */
export interface Statement {
  id: string;
  actor: { objectType: 'Agent'; account: { homePage: string; name: string } };
  verb: { id: string };
  object: { id: string; definition: { type: string } };
  result: { extensions: Record<string, number | string> };
  context: { contextActivities: { category: { id: string }[] }; extensions: Record<string, number | string> };
  timestamp: string;
}

/** One time that somebody sits before one video. */
export interface Sitting {
  id: string;
  /** A name that means nothing elsewhere. */
  actor: string;
  /** Of the lesson. */
  address: string;
}

export function statement(verb: 'played' | 'paused' | 'terminated', sitting: Sitting, segments: Segments, at: number, length: number): Statement {
  return {
    id: uuid(),
    actor: { objectType: 'Agent', account: { homePage: window.location.origin, name: sitting.actor } },
    verb: { id: `${VIDEO}/verbs/${verb}` },
    object: { id: new URL(sitting.address, window.location.origin).href, definition: { type: `${VIDEO}/activity-type/video` } },
    result: {
      extensions: {
        [`${VIDEO}/extensions/time`]: round(at),
        [`${VIDEO}/extensions/played-segments`]: segments.map(([from, until]) => `${round(from)}[.]${round(until)}`).join('[,]'),
      },
    },
    context: {
      contextActivities: { category: [{ id: VIDEO }] },
      extensions: { [`${VIDEO}/extensions/session-id`]: sitting.id, [`${VIDEO}/extensions/length`]: round(length) },
    },
    timestamp: new Date().toISOString(),
  };
}

function round(seconds: number): number {
  return Math.round(seconds * 1000) / 1000;
}

/**
 * Reports that the server does not have yet, kept in the browser: the latest of each sitting, as each says all that
 * its sitting has played.
 */
export const kept = {
  put(under: string, sitting: string, report: Statement): void {
    try {
      localStorage.setItem(`watched ${under} ${sitting}`, JSON.stringify(report));
    } catch {
      // Without room, or where nothing may be kept, it is sent all the same.
    }
  },

  all(under: string): Statement[] {
    const reports: Statement[] = [];
    for (const name of names(under)) {
      try {
        reports.push(JSON.parse(localStorage.getItem(name) ?? '') as Statement);
      } catch {
        localStorage.removeItem(name);
      }
    }
    return reports;
  },

  /** All of them: the lesson is finished. */
  clear(under: string): void {
    for (const name of names(under)) {
      localStorage.removeItem(name);
    }
  },

  /** Those that have arrived; a later one of the same sitting stays. */
  drop(under: string, ids: string[]): void {
    for (const name of names(under)) {
      if (ids.some((id) => localStorage.getItem(name)?.includes(id))) {
        localStorage.removeItem(name);
      }
    }
  },
};

function names(under: string): string[] {
  try {
    return Object.keys(localStorage).filter((name) => name.startsWith(`watched ${under} `));
  } catch {
    return [];
  }
}

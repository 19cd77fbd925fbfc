import type { ZoneOffset } from './generated/types';

export const DAY = 86400;

/** A day on the school's wall calendar, whenever it is. */
export interface Day {
  year: number;
  /** January is 0. */
  month: number;
  date: number;
  /** Sunday is 0. */
  weekday: number;
}

/** How days are named, in this language. What is formatted is a wall clock already, told as if it were UTC. */
const FORMATS = {
  weekday: new Intl.DateTimeFormat('en', { weekday: 'short', timeZone: 'UTC' }),
  month: new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }),
  wholeMonth: new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }),
};

const FIELD = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;

/**
 * The wall clock of the school. Instants are seconds since 1970. Which offset holds when is the server's to say: so a time that comes
 * twice, or not at all, when clocks are changed means here what it means to the rules.
 */
export class SchoolTime {
  private readonly year: number;

  /** @param offsets in order; the first holds before it too, the last from then on @param now whose year need not be named */
  constructor(
    private readonly offsets: readonly ZoneOffset[],
    now: number,
  ) {
    this.year = this.at(now).getUTCFullYear();
  }

  /** `Mon 9 Mar, 09:00`, with the year where it is not this one. */
  words(instant: number): string {
    return `${this.date(instant)}, ${this.at(instant).toISOString().slice(11, 16)}`;
  }

  /** `Mon 9 Mar`, likewise. */
  date(instant: number): string {
    const at = this.at(instant);
    return `${FORMATS.weekday.format(at)} ${this.dayMonth(instant)}${at.getUTCFullYear() === this.year ? '' : ` ${at.getUTCFullYear()}`}`;
  }

  /** `9 Mar`: for places as narrow as a cell. */
  dayMonth(instant: number): string {
    const at = this.at(instant);
    return `${at.getUTCDate()} ${FORMATS.month.format(at)}`;
  }

  /** As a form field takes it: `2026-03-09T09:00`. */
  wall(instant: number): string {
    return this.at(instant).toISOString().slice(0, 16);
  }

  /** The instant of what a form field says; null where it says none. */
  instant(wall: string): number | null {
    const seconds = FIELD.test(wall) ? Date.parse(`${wall}:00Z`) / 1000 : Number.NaN;
    return Number.isNaN(seconds) ? null : this.instantOf(seconds);
  }

  /** The first instant of the day, as many days on. */
  dayStart(instant: number, days = 0): number {
    return this.instantOf((this.dayNumber(instant) + days) * DAY);
  }

  /** The days of a stretch of time that are wanted, with the instants at which they begin. */
  days(from: number, until: number, wanted: (day: Day) => boolean): { day: Day; at: number }[] {
    const days = [];
    const last = this.dayNumber(until);
    for (let number = this.dayNumber(from); number <= last; number++) {
      const date = new Date(number * DAY * 1000);
      const day = { year: date.getUTCFullYear(), month: date.getUTCMonth(), date: date.getUTCDate(), weekday: date.getUTCDay() };
      if (wanted(day)) {
        days.push({ day, at: this.instantOf(number * DAY) });
      }
    }
    return days;
  }

  /** Wall-clock days from one instant to another. */
  daysBetween(from: number, until: number): number {
    return this.dayNumber(until) - this.dayNumber(from);
  }

  private dayNumber(instant: number): number {
    return Math.floor((instant + this.offsetAt(instant)) / DAY);
  }

  /** The wall clock, as if it were UTC. */
  private at(instant: number): Date {
    return new Date((instant + this.offsetAt(instant)) * 1000);
  }

  private offsetAt(instant: number): number {
    return (this.offsets.findLast(({ since }) => since <= instant) ?? this.offsets[0])?.seconds ?? 0;
  }

  /** Of a time that comes twice the first; of one that is left out as much later as clocks are put forward. As the core has it. */
  private instantOf(wall: number): number {
    let offset = this.offsets[0]?.seconds ?? 0;
    for (const { since, seconds } of this.offsets.slice(1)) {
      if (wall < since + Math.max(offset, seconds)) {
        break;
      }
      offset = seconds;
    }
    return wall - offset;
  }
}

/** `March`, or as much of its name as there is room for; with the year where it is wanted. */
export function monthName(day: Day, length: 'long' | 'short' = 'long', withYear = false): string {
  return `${FORMATS[length === 'long' ? 'wholeMonth' : 'month'].format(new Date(Date.UTC(day.year, day.month, 1)))}${withYear ? ` ${day.year}` : ''}`;
}

/** `Mo 9` */
export function weekdayName(day: Day): string {
  return `${FORMATS.weekday.format(new Date(Date.UTC(day.year, day.month, day.date))).slice(0, 2)} ${day.date}`;
}

/** `2026-03-09T09:00`, or a day alone, as `Mon 9 Mar 2026, 09:00`; null where it is neither. */
export function wallWords(wall: string): string | null {
  const at = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2})?$/.test(wall) ? new Date(`${wall.slice(0, 10)}T00:00:00Z`) : null;
  if (at === null || Number.isNaN(at.getTime())) {
    return null;
  }
  return `${FORMATS.weekday.format(at)} ${at.getUTCDate()} ${FORMATS.month.format(at)} ${wall.slice(0, 4)}${wall.length > 10 ? `, ${wall.slice(11)}` : ''}`;
}

/** What a zone's clocks say now, `2026-03-09T09:00`. */
export function wallNow(zone: string, now = new Date()): string {
  const parts = new Map(new Intl.DateTimeFormat('en-GB', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }).formatToParts(now).map(({ type, value }) => [type, value]));
  return `${parts.get('year')}-${parts.get('month')}-${parts.get('day')}T${parts.get('hour')}:${parts.get('minute')}`;
}

/** As an address names it, whatever the zone. */
export function isoOf(instant: number): string {
  return new Date(instant * 1000).toISOString().replace('.000Z', 'Z');
}

/** Whether the clocks of two IANA zones say the same now and through the year that follows. */
export function clocksAgree(zone: string, other: string, now: Date): boolean {
  if (zone === other) {
    return true;
  }
  try {
    const [one, two] = [zone, other].map((timeZone) => new Intl.DateTimeFormat('en', { timeZone, dateStyle: 'short', timeStyle: 'short' }));
    return Array.from({ length: 12 }, (_, month) => new Date(now.getTime() + month * 30 * DAY * 1000)).every((at) => one?.format(at) === two?.format(at));
  } catch {
    // A zone that this browser does not know: better told once too often.
    return false;
  }
}

/** The zone that the reader's own clock shows. */
export function readersZone(): string {
  return new Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/**
 * Whether the reader must be told on top whose times a page shows: their clock shows others, and the page, made before that was
 * known, does not say it at each. From then on it is known (app/Http/Middleware/TheirZone.php).
 *
 * @param knew whether the page was made for a zone that was told
 */
export function mustTellZone(school: string, knew: boolean): boolean {
  const own = readersZone();
  const known = new RegExp(`(?:^|; )zone=${encodeURIComponent(own)}(?:;|$)`).test(document.cookie);
  if (!known) {
    document.cookie = `zone=${encodeURIComponent(own)}; path=/; max-age=31536000; samesite=lax`;
  }
  return !(known && knew) && !clocksAgree(school, own, new Date());
}

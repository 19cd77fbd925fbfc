import dayjs, { type Dayjs } from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

export const DAY = 86400;

/** The wall clock of the school. Instants are seconds since 1970. */
export class SchoolTime {
  private readonly year: number;

  /** @param zone IANA name @param now whose year need not be named */
  constructor(
    private readonly zone: string,
    now: number,
  ) {
    this.year = this.local(now).year();
  }

  local(instant: number): Dayjs {
    return dayjs.unix(instant).tz(this.zone);
  }

  /** `Mon 9 Mar, 09:00`, with the year where it is not this one. */
  words(instant: number): string {
    const local = this.local(instant);
    return local.format(local.year() === this.year ? 'ddd D MMM, HH:mm' : 'ddd D MMM YYYY, HH:mm');
  }

  /** `Mon 9 Mar`, likewise. */
  date(instant: number): string {
    const local = this.local(instant);
    return local.format(local.year() === this.year ? 'ddd D MMM' : 'ddd D MMM YYYY');
  }

  /** As a form field takes it: `2026-03-09T09:00`. */
  wall(instant: number): string {
    return this.local(instant).format('YYYY-MM-DDTHH:mm');
  }

  /** The instant of what a form field says; null where it says none. */
  instant(wall: string): number | null {
    const local = dayjs.tz(wall, this.zone);
    return wall !== '' && local.isValid() ? local.unix() : null;
  }

  /** The first instant of the day, as many days on. */
  dayStart(instant: number, days = 0): number {
    const date = dayjs(this.local(instant).format('YYYY-MM-DD')).add(days, 'day').format('YYYY-MM-DD');
    return dayjs.tz(`${date}T00:00`, this.zone).unix();
  }

  /** The days of a stretch of time that are wanted, with the instants at which they begin. */
  days(from: number, to: number, wanted: (date: Dayjs) => boolean): { date: Dayjs; at: number }[] {
    const days = [];
    const last = this.local(to).format('YYYY-MM-DD');
    for (let date = dayjs.utc(this.local(from).format('YYYY-MM-DD')); date.format('YYYY-MM-DD') <= last; date = date.add(1, 'day')) {
      if (wanted(date)) {
        days.push({ date, at: dayjs.tz(`${date.format('YYYY-MM-DD')}T00:00`, this.zone).unix() });
      }
    }
    return days;
  }

  /** Wall-clock days from one instant to another. */
  daysBetween(from: number, to: number): number {
    return dayjs.utc(this.local(to).format('YYYY-MM-DD')).diff(dayjs.utc(this.local(from).format('YYYY-MM-DD')), 'day');
  }
}

/** As an address names it, whatever the zone. */
export function isoOf(instant: number): string {
  return dayjs.unix(instant).utc().format('YYYY-MM-DDTHH:mm:ss[Z]');
}

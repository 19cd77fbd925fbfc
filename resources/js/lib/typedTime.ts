/** Dates and times as people type them, on the school's wall clock. What is read is told back to them before it is kept. */

const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];

/** Monday first, as the rules count them. */
const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

const MIDNIGHT = '00:00';

/** In days, where it is not months. */
const UNITS: Record<string, number> = { d: 1, w: 7 };

interface Part {
  /** As if it were UTC. */
  date: Date;
  /** What is still to be read. */
  rest: string;
}

const MONTH = '([a-z]{3,9})\\.?';
const YEAR = "(?:,?\\s*(\\d{4}))?";

/** The number of a weekday that is named, Monday being 1; null where none is. */
export function weekdayOf(word: string): number | null {
  const at = word.length < 2 ? -1 : WEEKDAYS.findIndex((name) => name.startsWith(word.toLowerCase()));
  return at === -1 ? null : at + 1;
}

/** `9`, `9:30`, `09.30`, `0930`, `9am`, `2 pm`, `noon`, each perhaps after `at`, as `HH:MM`; null where it is no time of day. */
export function typedClock(text: string): string | null {
  const words = text.trim().toLowerCase().replace(/^(at|kl\.?|,)\s*/, '').trim();
  if (words === 'noon' || words === 'midnight') {
    return words === 'noon' ? '12:00' : MIDNIGHT;
  }
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*(am|pm|h)?$/.exec(words);
  if (found === null) {
    return null;
  }
  const [hour, minute] = [Number(found[1]), Number(found[2] ?? 0)];
  const half = found[3] === 'am' || found[3] === 'pm';
  if (minute > 59 || hour > 23 || (half && (hour === 0 || hour > 12))) {
    return null;
  }
  const whole = half ? (hour % 12) + (found[3] === 'pm' ? 12 : 0) : hour;
  return `${pad(whole)}:${pad(minute)}`;
}

/**
 * What is typed as the wall clock has it, `2026-03-09T09:00`; null where it is no date that there is. A date without a year is the
 * next of its kind, today counted; one without a time begins its day.
 *
 * @param now the wall clock now, `2026-03-09T09:00`
 */
export function typedTime(text: string, now: string): string | null {
  const words = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const today = new Date(`${now.slice(0, 10)}T00:00:00Z`);
  for (const read of [isoDay, namedDay, dottedDay, distance, weekday]) {
    const found = read(words, today);
    if (found === null) {
      continue;
    }
    const left = found.rest.trim();
    const clock = left === '' ? MIDNIGHT : typedClock(left.replace(/^t(?=\d)/, ''));
    if (clock !== null) {
      return `${found.date.toISOString().slice(0, 10)}T${clock}`;
    }
  }
  return null;
}

function isoDay(words: string): Part | null {
  const found = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(words);
  return found === null ? null : part(words, found, day(Number(found[1]), Number(found[2]) - 1, Number(found[3])));
}

/** `9 mar`, `mon 9 march 2027`, `mar 9`. */
function namedDay(words: string, today: Date): Part | null {
  const bare = words.replace(/^([a-z]{2,9})\.?,?\s+(?=\d)/, (whole, word: string) => (weekdayOf(word) === null ? whole : ''));
  const first = new RegExp(`^(\\d{1,2})(?:st|nd|rd|th|\\.)?\\s*(?:of\\s+)?${MONTH}${YEAR}`).exec(bare);
  const found = first ?? new RegExp(`^${MONTH}\\s*(\\d{1,2})(?:st|nd|rd|th)?\\b${YEAR}`).exec(bare);
  if (found === null) {
    return null;
  }
  const [date, name] = first === null ? [found[2], found[1]] : [found[1], found[2]];
  const month = MONTHS.findIndex((one) => one.startsWith(name ?? '…'));
  return month === -1 ? null : part(bare, found, inYear(found[3], month, Number(date), today));
}

/** `9.3.`, `9.3.2027`, `9/3/2027`: the day comes first, as in the school's own format. */
function dottedDay(words: string, today: Date): Part | null {
  const found = /^(\d{1,2})([./])(\d{1,2})(?:\2(\d{4}))?(?:\2(?!\d))?(?=\s|,|$)/.exec(words);
  const month = found === null ? 0 : Number(found[3]);
  return found === null || month < 1 || month > 12 ? null : part(words, found, inYear(found[4], month - 1, Number(found[1]), today));
}

/** `today`, `tomorrow`, `in 3 weeks`, `in a month`. */
function distance(words: string, today: Date): Part | null {
  const near = /^(today|tomorrow)\b/.exec(words);
  if (near !== null) {
    return part(words, near, later(today, near[1] === 'today' ? 0 : 1));
  }
  const found = /^in (\d{1,4}|a|an|one) (day|week|month|year)s?\b/.exec(words);
  if (found === null) {
    return null;
  }
  const count = /^\d/.test(found[1] ?? '') ? Number(found[1]) : 1;
  const unit = found[2] ?? 'day';
  if (unit === 'month' || unit === 'year') {
    const months = today.getUTCMonth() + count * (unit === 'year' ? 12 : 1);
    const last = new Date(Date.UTC(today.getUTCFullYear(), months + 1, 0)).getUTCDate();
    // A month on from the 31st is the last day of a shorter one.
    return part(words, found, new Date(Date.UTC(today.getUTCFullYear(), months, Math.min(today.getUTCDate(), last))));
  }
  return part(words, found, later(today, count * (UNITS[unit[0] ?? 'd'] ?? 1)));
}

/** `monday`, `next monday 9`: the first one after today. */
function weekday(words: string, today: Date): Part | null {
  const found = /^(?:(?:on|next|the next)\s+)?([a-z]{2,9})\b/.exec(words);
  const wanted = weekdayOf(found?.[1] ?? '');
  if (found === null || wanted === null) {
    return null;
  }
  const ahead = (wanted - ((today.getUTCDay() + 6) % 7) - 1 + 7) % 7;
  return part(words, found, later(today, ahead === 0 ? 7 : ahead));
}

function part(words: string, found: RegExpExecArray, date: Date | null): Part | null {
  return date === null ? null : { date, rest: words.slice(found[0].length).replace(/^[\s,]+/, '') };
}

function inYear(year: string | undefined, month: number, date: number, today: Date): Date | null {
  if (year !== undefined) {
    return day(Number(year), month, date);
  }
  const soon = day(today.getUTCFullYear(), month, date);
  // Of the 29th of February the next one there is.
  return soon !== null && soon >= today ? soon : [1, 2, 3, 4, 5, 6, 7, 8].map((on) => day(today.getUTCFullYear() + on, month, date)).find((one) => one !== null) ?? null;
}

/** Null where the month has no such day. */
function day(year: number, month: number, date: number): Date | null {
  const at = new Date(Date.UTC(year, month, date));
  return year >= 1 && at.getUTCMonth() === month && at.getUTCDate() === date ? at : null;
}

function later(date: Date, days: number): Date {
  return new Date(date.getTime() + days * 86400000);
}

function pad(number: number): string {
  return String(number).padStart(2, '0');
}

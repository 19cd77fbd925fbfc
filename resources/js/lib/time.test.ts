import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';

import cases from '../../../tests/fixtures/wall-clock.json';
import type { ZoneOffset } from './generated/types';
import { clocksAgree, mustTellZone, readersZone, DAY, isoOf, monthName, SchoolTime, weekdayName } from './time';

interface Zone {
  offsets: ZoneOffset[];
  instants: [string, number][];
  walls: [number, string][];
}

/** The core is asked the same ones (tests/Core/Time/WallClockCasesTest.php). */
const zones = cases as unknown as Record<string, Zone>;

const OSLO = zones['Europe/Oslo']?.offsets ?? [];
const at = (iso: string) => Date.parse(iso) / 1000;
const NOW = at('2026-03-10T12:00:00Z');

describe.each(Object.entries(zones))('the wall clock of %s', (_zone, { offsets, instants, walls }) => {
  const time = new SchoolTime(offsets, NOW);

  it.each(instants)('reads %s as the rules do', (wall, instant) => {
    expect(time.instant(wall)).toBe(instant);
  });

  it.each(walls)('shows %i as the rules do', (instant, wall) => {
    expect(time.wall(instant)).toBe(wall);
  });
});

describe('words', () => {
  const time = new SchoolTime(OSLO, NOW);

  it('names the year where it is another one', () => {
    expect(time.words(at('2026-09-09T07:00:00Z'))).toBe('Wed 9 Sep, 09:00');
    expect(time.words(at('2025-12-31T22:59:00Z'))).toBe('Wed 31 Dec 2025, 23:59');
    // By the wall clock it is this year already.
    expect(time.words(at('2025-12-31T23:00:00Z'))).toBe('Thu 1 Jan, 00:00');
  });

  it('names days, months and weekdays', () => {
    const day = { year: 2026, month: 2, date: 9, weekday: 1 };
    expect([monthName(day), monthName(day, 'short'), monthName(day, 'long', true), weekdayName(day)]).toEqual(['March', 'Mar', 'March 2026', 'Mo 9']);
    expect(time.dayMonth(at('2026-03-09T12:00:00Z'))).toBe('9 Mar');
  });

  it('writes instants for addresses', () => {
    expect(isoOf(NOW)).toBe('2026-03-10T12:00:00Z');
  });
});

describe('days', () => {
  const time = new SchoolTime(OSLO, NOW);

  it('are counted on the calendar, however long they are', () => {
    // Clocks are put forward between them.
    expect(time.daysBetween(at('2026-03-28T22:30:00Z'), at('2026-03-29T22:30:00Z'))).toBe(2);
    expect(time.daysBetween(at('2026-03-28T22:30:00Z'), at('2026-03-29T21:30:00Z'))).toBe(1);
    expect(time.daysBetween(NOW, NOW - 10 * DAY)).toBe(-10);
  });

  it('begin at midnight, also on the day on which clocks are changed', () => {
    expect(isoOf(time.dayStart(at('2026-03-29T12:00:00Z')))).toBe('2026-03-28T23:00:00Z');
    expect(isoOf(time.dayStart(at('2026-03-29T12:00:00Z'), 1))).toBe('2026-03-29T22:00:00Z');
    expect(isoOf(time.dayStart(at('2026-10-25T12:00:00Z'), 1))).toBe('2026-10-25T23:00:00Z');
  });

  it('are those that are wanted', () => {
    const mondays = time.days(at('2026-03-20T12:00:00Z'), at('2026-04-06T00:00:00Z'), ({ weekday }) => weekday === 1);
    expect(mondays.map(({ day, at: begins }) => [day.date, isoOf(begins)])).toEqual([
      [23, '2026-03-22T23:00:00Z'],
      [30, '2026-03-29T22:00:00Z'],
      [6, '2026-04-05T22:00:00Z'],
    ]);
  });
});

describe('what a field says', () => {
  const time = new SchoolTime(OSLO, NOW);

  it.each(['', '2026-03-09', '2026-13-01T09:00', 'tomorrow', '2026-03-09T25:00'])('is no time: %s', (text) => {
    expect(time.instant(text)).toBeNull();
  });

  it('is a time without any offsets too', () => {
    expect(new SchoolTime([], NOW).wall(NOW)).toBe('2026-03-10T12:00');
  });
});

describe('clocks of two zones', () => {
  const now = new Date('2026-03-10T12:00:00Z');

  it.each([
    ['Europe/Oslo', 'Europe/Oslo', true],
    ['Europe/Oslo', 'Europe/Berlin', true],
    ['Europe/Oslo', 'Europe/London', false],
    // They agree in winter, and part in summer.
    ['Europe/Oslo', 'Africa/Lagos', false],
    ['Europe/Oslo', 'Mars/Olympus', false],
  ])('%s and %s: %s', (zone, other, agree) => {
    expect(clocksAgree(zone, other, now)).toBe(agree);
  });
});

function forget(): void {
  document.cookie = 'zone=; path=/; max-age=0';
}

describe('whose times a page shows', () => {
  const own = readersZone();
  const elsewhere = own === 'Pacific/Kiritimati' ? 'Pacific/Pago_Pago' : 'Pacific/Kiritimati';
  beforeEach(forget);
  afterEach(forget);

  test('is told on top of a page that was made before the reader’s zone was known, and is known from then on', () => {
    expect(mustTellZone(elsewhere, false)).toBe(true);
    expect(document.cookie).toContain(`zone=${encodeURIComponent(own)}`);
    expect(mustTellZone(elsewhere, true)).toBe(false);
  });

  test('is told again to whoever has travelled since', () => {
    document.cookie = `zone=${encodeURIComponent('Antarctica/Troll')}; path=/`;
    expect(mustTellZone(elsewhere, true)).toBe(true);
  });

  test('is not told to whoever has the school’s', () => {
    expect(mustTellZone(own, false)).toBe(false);
  });
});

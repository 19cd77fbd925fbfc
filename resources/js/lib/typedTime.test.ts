import { describe, expect, it } from 'vitest';

import { typedClock, typedTime, weekdayOf } from './typedTime';

/** A Wednesday. */
const NOW = '2026-03-04T10:30';

describe('times that are typed', () => {
  it.each([
    ['9 mar', '2026-03-09T00:00'],
    ['9 Mar, 09:00', '2026-03-09T09:00'],
    ['Mon 9 Mar, 09:00', '2026-03-09T09:00'],
    ['Mon 9 Mar 2026, 09:00', '2026-03-09T09:00'],
    ['monday 9 march 9', '2026-03-09T09:00'],
    ['9th of march at 9:30', '2026-03-09T09:30'],
    ['mar 9 2027 9am', '2027-03-09T09:00'],
    ['4 mar', '2026-03-04T00:00'],
    ['3 mar', '2027-03-03T00:00'],
    ['2026-03-09', '2026-03-09T00:00'],
    ['2026-03-09 09:00', '2026-03-09T09:00'],
    ['2026-03-09T09:00', '2026-03-09T09:00'],
    ['9.3.', '2026-03-09T00:00'],
    ['9.3.2027 14:30', '2027-03-09T14:30'],
    ['9/3/2027', '2027-03-09T00:00'],
    ['29 feb', '2028-02-29T00:00'],
    ['today', '2026-03-04T00:00'],
    ['tomorrow 9', '2026-03-05T09:00'],
    ['in 3 weeks', '2026-03-25T00:00'],
    ['in a month at noon', '2026-04-04T12:00'],
    ['in 2 days, 17:15', '2026-03-06T17:15'],
    ['in 1 year', '2027-03-04T00:00'],
    ['next Monday 9', '2026-03-09T09:00'],
    ['wednesday', '2026-03-11T00:00'],
    ['thu', '2026-03-05T00:00'],
    ['fri 8.15', '2026-03-06T08:15'],
  ])('%s is %s', (typed, wall) => expect(typedTime(typed, NOW)).toBe(wall));

  it.each(['', '9', '14 days', '31 feb', '32.1.', '9.13.', '9 mar 25:00', '9 mar 9:60', 'marble', 'in weeks', 'blah 9', '0 mar', 'next', '9 mar 9 9', '2026-13-01', 'in 3 fortnights'])('%s is none', (typed) =>
    expect(typedTime(typed, NOW)).toBeNull());

  it('keeps to the month where the day is missing in it', () => expect(typedTime('in a month', '2026-01-31T08:00')).toBe('2026-02-28T00:00'));

  it.each([
    ['9', '09:00'],
    ['at 09:30', '09:30'],
    ['0930', '09:30'],
    ['9.30', '09:30'],
    ['12am', '00:00'],
    ['12 pm', '12:00'],
    ['23:59', '23:59'],
    ['midnight', '00:00'],
    ['24:00', null],
    ['13pm', null],
    ['9:5', null],
    ['soon', null],
  ])('the clock of %s is %s', (typed, clock) => expect(typedClock(typed)).toBe(clock));

  it('knows weekdays by two letters and more', () => expect(['mo', 'Tues', 'sunday', 'm', 'mornings'].map(weekdayOf)).toEqual([1, 2, 7, null, null]));
});

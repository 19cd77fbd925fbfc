<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Time\CivilDate;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\LocalTime;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Time\TimeOfDay;

final class SchoolZoneTest extends TestCase
{
    #[DataProvider('wallClockTimes')]
    public function test_a_wall_clock_time_is_this_instant(string $zone, string $local, string $instant): void
    {
        self::assertSame($instant, Instant::format(SchoolZone::named($zone)->instantOf(LocalTime::parse($local))));
    }

    /** @return \Generator<string, array{string, string, string}> */
    public static function wallClockTimes(): \Generator
    {
        yield 'Oslo: the minute before the gap' => ['Europe/Oslo', '2026-03-29T01:59', '2026-03-29T00:59:00Z'];
        yield 'Oslo: the first skipped minute moves forward an hour' => ['Europe/Oslo', '2026-03-29T02:00', '2026-03-29T01:00:00Z'];
        yield 'Oslo: half past two is skipped' => ['Europe/Oslo', '2026-03-29T02:30', '2026-03-29T01:30:00Z'];
        yield 'Oslo: after the gap' => ['Europe/Oslo', '2026-03-29T03:00', '2026-03-29T01:00:00Z'];
        yield 'Oslo: the first of two half past twos' => ['Europe/Oslo', '2026-10-25T02:30', '2026-10-25T00:30:00Z'];
        yield 'Oslo: the first of two two o\'clocks' => ['Europe/Oslo', '2026-10-25T02:00', '2026-10-25T00:00:00Z'];
        yield 'Oslo: three o\'clock happens once' => ['Europe/Oslo', '2026-10-25T03:00', '2026-10-25T02:00:00Z'];
        yield 'Lord Howe: in the gap of half an hour' => ['Australia/Lord_Howe', '2026-10-04T02:15', '2026-10-03T15:45:00Z'];
        yield 'Lord Howe: after the gap' => ['Australia/Lord_Howe', '2026-10-04T02:30', '2026-10-03T15:30:00Z'];
        yield 'Lord Howe: the first of two quarter to twos' => ['Australia/Lord_Howe', '2026-04-05T01:45', '2026-04-04T14:45:00Z'];
        yield 'Lord Howe: two o\'clock happens once' => ['Australia/Lord_Howe', '2026-04-05T02:00', '2026-04-04T15:30:00Z'];
        yield 'New York: skipped' => ['America/New_York', '2026-03-08T02:30', '2026-03-08T07:30:00Z'];
        yield 'New York: the first of two' => ['America/New_York', '2026-11-01T01:30', '2026-11-01T05:30:00Z'];
        yield 'Auckland, southern: skipped' => ['Pacific/Auckland', '2026-09-27T02:30', '2026-09-26T14:30:00Z'];
        yield 'Auckland, southern: the first of two' => ['Pacific/Auckland', '2026-04-05T02:30', '2026-04-04T13:30:00Z'];
        yield 'Kolkata never changes' => ['Asia/Kolkata', '2026-03-29T02:30', '2026-03-28T21:00:00Z'];
        yield 'Santiago: midnight itself is skipped' => ['America/Santiago', '2026-09-06T00:00', '2026-09-06T04:00:00Z'];
        yield 'Oslo: far beyond the table' => ['Europe/Oslo', '2254-10-29T02:21', '2254-10-29T00:21:00Z'];
        yield 'UTC' => ['UTC', '2026-01-01T00:00', '2026-01-01T00:00:00Z'];
    }

    #[DataProvider('calendarDays')]
    public function test_days_are_calendar_days(string $zone, string $base, int $days, ?string $time, ?int $weekday, string $expected): void
    {
        $seconds = $time === null ? null : TimeOfDay::parse($time)->seconds;

        self::assertSame($expected, Instant::format(SchoolZone::named($zone)->plusDays(Instant::parse($base), $days, $seconds, $weekday)));
    }

    /** @return \Generator<string, array{string, string, int, ?string, ?int, string}> */
    public static function calendarDays(): \Generator
    {
        yield 'a day over the spring change has 23 hours' => ['Europe/Oslo', '2026-03-28T12:00:00Z', 1, null, null, '2026-03-29T11:00:00Z'];
        yield 'a day over the autumn change has 25 hours' => ['Europe/Oslo', '2026-10-24T12:00:00Z', 1, null, null, '2026-10-25T13:00:00Z'];
        yield 'the seconds of the base are kept' => ['Europe/Oslo', '2026-03-28T12:00:17Z', 1, null, null, '2026-03-29T11:00:17Z'];
        yield 'a time of day takes the seconds away' => ['Europe/Oslo', '2026-03-28T12:00:17Z', 1, '09:00', null, '2026-03-29T07:00:00Z'];
        yield 'landing in the gap moves forward' => ['Europe/Oslo', '2026-03-28T01:30:00Z', 1, null, null, '2026-03-29T01:30:00Z'];
        yield 'landing in the fold takes the first' => ['Europe/Oslo', '2026-10-24T00:30:00Z', 1, null, null, '2026-10-25T00:30:00Z'];
        yield 'the local date counts, not the one in UTC' => ['Europe/Oslo', '2026-03-01T23:30:00Z', 1, '00:00', null, '2026-03-02T23:00:00Z'];
        yield 'no days, an earlier time' => ['Europe/Oslo', '2026-03-02T12:00:00Z', 0, '09:00', null, '2026-03-02T08:00:00Z'];
        yield 'next Monday after seven days' => ['Europe/Oslo', '2026-03-09T08:00:00Z', 7, '09:00', 1, '2026-03-16T08:00:00Z'];
        yield 'the same weekday at an earlier time waits a week' => ['Europe/Oslo', '2026-03-09T09:00:00Z', 0, '09:00', 1, '2026-03-16T08:00:00Z'];
        yield 'the same weekday at the very time is today' => ['Europe/Oslo', '2026-03-09T08:00:00Z', 0, '09:00', 1, '2026-03-09T08:00:00Z'];
        yield 'Sunday is seven' => ['Europe/Oslo', '2026-03-09T08:00:00Z', 0, null, 7, '2026-03-15T08:00:00Z'];
        yield 'a weekday without a time keeps the base\'s' => ['Europe/Oslo', '2026-03-10T08:15:30Z', 1, null, 3, '2026-03-11T08:15:30Z'];
        yield 'Lord Howe: a day of 24 and a half hours' => ['Australia/Lord_Howe', '2026-04-04T01:00:00Z', 1, null, null, '2026-04-05T01:30:00Z'];
        yield 'Lord Howe: a day of 23 and a half hours' => ['Australia/Lord_Howe', '2026-10-03T01:00:00Z', 1, null, null, '2026-10-04T00:30:00Z'];
        yield 'Auckland: a week over the change' => ['Pacific/Auckland', '2026-09-24T21:00:00Z', 7, '09:00', null, '2026-10-01T20:00:00Z'];
        yield 'Kolkata' => ['Asia/Kolkata', '2026-03-28T20:00:00Z', 1, '09:00', null, '2026-03-30T03:30:00Z'];
        yield 'New York: 30 days over the change' => ['America/New_York', '2026-02-20T14:00:00Z', 30, null, null, '2026-03-22T13:00:00Z'];
        yield 'over a leap day' => ['Europe/Oslo', '2028-02-28T11:00:00Z', 2, null, null, '2028-03-01T11:00:00Z'];
        yield 'backwards over the spring change' => ['Europe/Oslo', '2026-03-30T10:00:00Z', -3, null, null, '2026-03-27T11:00:00Z'];
    }

    public function test_it_agrees_with_the_time_zone_database_away_from_changes(): void
    {
        mt_srand(20260301);
        foreach (['Europe/Oslo', 'Australia/Lord_Howe', 'America/St_Johns', 'Pacific/Apia', 'Africa/Casablanca'] as $name) {
            $zone = SchoolZone::named($name);
            for ($i = 0; $i < 500; $i++) {
                $instant = mt_rand(-2_000_000_000, 8_000_000_000);
                $local = (new \DateTimeImmutable('@'.$instant))->setTimezone(new \DateTimeZone($name));
                self::assertSame($instant + $local->getOffset(), $zone->wallAt($instant), "{$name} at {$instant}");
            }
        }
    }

    /** Reckoned another way: which instants show this wall-clock time, by the zone database alone? */
    public function test_the_instant_of_a_wall_clock_time_is_the_first_that_shows_it_or_as_much_later_as_was_skipped(): void
    {
        mt_srand(7);
        foreach (['Europe/Oslo', 'Australia/Lord_Howe', 'America/St_Johns', 'Pacific/Apia', 'Africa/Casablanca', 'America/Santiago'] as $name) {
            $zone = SchoolZone::named($name);
            $database = new \DateTimeZone($name);
            $offset = static fn (int $instant): int => $database->getOffset(new \DateTimeImmutable('@'.$instant));
            $around = [];
            foreach ($database->getTransitions(1_000_000_000, 2_000_000_000) ?: [] as $change) {
                array_push($around, $change['ts'] + $change['offset'], $change['ts'] + $offset($change['ts'] - 1));
            }
            for ($i = 0; $i < 600; $i++) {
                // Half of them at random, half close to a change of the clock.
                $wall = $i % 2 === 0 || $around === [] ? mt_rand(0, 4_000_000_000) : $around[array_rand($around)] + mt_rand(-7_200, 7_200);
                $local = LocalTime::parse(gmdate('Y-m-d\TH:i', $wall));
                $wall = $local->wallSeconds;
                $offsets = array_unique([$offset($wall - 100_000), $offset($wall + 100_000)]);
                $shows = array_filter(array_map(static fn (int $one): int => $wall - $one, $offsets), static fn (int $instant): bool => $instant + $offset($instant) === $wall);
                $expected = $shows !== [] ? min($shows) : $wall - $offset($wall - 100_000);
                self::assertSame($expected, $zone->instantOf($local), "{$name}: ".gmdate('Y-m-d\TH:i', $wall));
            }
        }
    }

    public function test_weekdays_count_from_monday(): void
    {
        self::assertSame(1, CivilDate::weekday(CivilDate::toDayNumber(2026, 3, 9)));
        self::assertSame(7, CivilDate::weekday(CivilDate::toDayNumber(2026, 3, 15)));
        self::assertSame(3, CivilDate::weekday(CivilDate::toDayNumber(1969, 12, 31)));
    }

    #[DataProvider('badZones')]
    public function test_only_names_of_the_database_are_zones(string $name): void
    {
        $this->expectException(InvalidTime::class);
        SchoolZone::named($name);
    }

    /** @return list<array{string}> */
    public static function badZones(): array
    {
        return [['Mars/Olympus'], ['europe/oslo'], ['+02:00'], ['CEST'], [''], ["Europe/Oslo\n"]];
    }

    #[DataProvider('wholeDays')]
    public function test_whole_days_are_calendar_days(string $from, string $until, int $days): void
    {
        self::assertSame($days, SchoolZone::named('Europe/Oslo')->wholeDays(Instant::parse($from), Instant::parse($until)));
    }

    /** @return \Generator<string, array{string, string, int}> */
    public static function wholeDays(): \Generator
    {
        yield 'a day to the second' => ['2026-03-10T12:00:00Z', '2026-03-11T12:00:00Z', 1];
        yield 'a second less' => ['2026-03-10T12:00:00Z', '2026-03-11T11:59:59Z', 0];
        yield 'over the clock change in spring' => ['2026-03-10T12:00:00Z', '2026-09-04T11:00:00Z', 178];
        yield 'a second less over it' => ['2026-03-10T12:00:00Z', '2026-09-04T10:59:59Z', 177];
        yield 'over the clock change in autumn' => ['2026-10-20T10:00:00Z', '2026-10-30T11:00:00Z', 10];
        yield 'the day of 25 hours' => ['2026-10-24T10:00:00Z', '2026-10-25T10:00:00Z', 0];
        yield 'no time' => ['2026-03-10T12:00:00Z', '2026-03-10T12:00:00Z', 0];
        yield 'backwards' => ['2026-03-10T12:00:00Z', '2026-03-01T12:00:00Z', 0];
    }

    #[DataProvider('months')]
    public function test_months_are_counted_by_the_calendar(string $base, int $months, string $expected): void
    {
        self::assertSame($expected, Instant::format(SchoolZone::named('Europe/Oslo')->plusMonths(Instant::parse($base), $months)));
    }

    /** @return \Generator<string, array{string, int, string}> */
    public static function months(): \Generator
    {
        yield 'one, over the clock change' => ['2026-03-10T12:00:00Z', 1, '2026-04-10T11:00:00Z'];
        yield 'none' => ['2026-03-10T12:00:00Z', 0, '2026-03-10T12:00:00Z'];
        yield 'a month that has no such day' => ['2026-01-31T12:00:00Z', 1, '2026-02-28T12:00:00Z'];
        yield 'a leap day' => ['2024-01-31T12:00:00Z', 1, '2024-02-29T12:00:00Z'];
        yield 'and on, counted from the first' => ['2026-01-31T12:00:00Z', 2, '2026-03-31T11:00:00Z'];
        yield 'over the year' => ['2026-11-30T12:00:00Z', 3, '2027-02-28T12:00:00Z'];
        yield 'a year' => ['2024-02-29T12:00:00Z', 12, '2025-02-28T12:00:00Z'];
        yield 'to December' => ['2026-03-31T11:00:00Z', 9, '2026-12-31T12:00:00Z'];
        yield 'local midnight' => ['2026-03-09T23:00:00Z', 1, '2026-04-09T22:00:00Z'];
    }

    public function test_a_day_number_is_read_back_as_the_date_that_it_was_made_of(): void
    {
        foreach ([[1970, 1, 1], [2000, 2, 29], [1900, 2, 28], [1600, 12, 31], [2026, 3, 1], [-1, 6, 15], [0, 2, 29], [9999, 12, 31]] as [$year, $month, $day]) {
            self::assertSame([$year, $month, $day], CivilDate::ofDayNumber(CivilDate::toDayNumber($year, $month, $day)));
        }
        for ($number = -200_000; $number < 200_000; $number += 37) {
            self::assertSame($number, CivilDate::toDayNumber(...CivilDate::ofDayNumber($number)));
        }
    }
}

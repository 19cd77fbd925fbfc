<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\LocalTime;
use SilentKeep\Core\Time\TimeOfDay;

final class InstantTest extends TestCase
{
    #[DataProvider('instants')]
    public function test_instants_come_out_in_utc_to_the_second(string $text, string $expected): void
    {
        self::assertSame($expected, Instant::format(Instant::parse($text)));
    }

    /** @return list<array{string, string}> */
    public static function instants(): array
    {
        return [
            ['2026-03-01T08:00:00Z', '2026-03-01T08:00:00Z'],
            ['2026-03-01T09:00:00+01:00', '2026-03-01T08:00:00Z'],
            ['2026-03-01T00:30:00+01:00', '2026-02-28T23:30:00Z'],
            ['2026-03-01T08:00:00-05:30', '2026-03-01T13:30:00Z'],
            ['2026-03-01T08:00:59.999Z', '2026-03-01T08:00:59Z'],
            ['1969-12-31T23:59:59.9Z', '1969-12-31T23:59:59Z'],
            ['2026-03-01t08:00:00z', '2026-03-01T08:00:00Z'],
            ['2024-02-29T00:00:00-00:00', '2024-02-29T00:00:00Z'],
        ];
    }

    #[DataProvider('noInstants')]
    public function test_anything_else_is_refused(string $text): void
    {
        $this->expectException(InvalidTime::class);
        Instant::parse($text);
    }

    /** @return list<array{string}> */
    public static function noInstants(): array
    {
        return [
            [''], ['now'], ['2026-03-01'], ['2026-03-01T08:00:00'], ['2026-03-01T08:00Z'], ['2026-02-30T08:00:00Z'], ['2026-13-01T08:00:00Z'],
            ['2026-03-01T24:00:00Z'], ['2026-03-01T08:60:00Z'], ['2026-03-01T08:00:60Z'], ['2026-03-01T08:00:00+24:00'], ['2026-03-01T08:00:00+01:60'],
            ['2026-03-01 08:00:00Z'], ['2026-03-01T08:00:00.Z'], ["2026-03-01T08:00:00Z\n"], ['2025-02-29T08:00:00Z'], ['2026-03-01T08:00:00+0100'],
        ];
    }

    #[DataProvider('noLocalTimes')]
    public function test_a_local_time_that_does_not_exist_is_refused(string $text): void
    {
        $this->expectException(InvalidTime::class);
        LocalTime::parse($text);
    }

    /** @return list<array{string}> */
    public static function noLocalTimes(): array
    {
        return [['2026-02-30T09:00'], ['2026-03-01T25:00'], ['2026-03-01T09:60'], ['2026-03-01'], ['2026-03-01T09:00:00'], ['2026-03-01T09:00Z'], ['2026-3-1T9:00'], ['']];
    }

    #[DataProvider('noTimesOfDay')]
    public function test_a_time_of_day_that_does_not_exist_is_refused(string $text): void
    {
        $this->expectException(InvalidTime::class);
        TimeOfDay::parse($text);
    }

    /** @return list<array{string}> */
    public static function noTimesOfDay(): array
    {
        return [['24:00'], ['25:00'], ['9:00'], ['09:60'], ['09:00:00'], ["09:00\n"], ['']];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

final class SkippedTimesTest extends TestCase
{
    /** @param  array{int, int}  $expected  seconds since midnight */
    #[DataProvider('zones')]
    public function test_which_times_of_day_clock_changes_skip(string $zone, string $after, array $expected): void
    {
        self::assertSame($expected, SchoolZone::named($zone)->skippedTimes(Instant::parse($after)));
    }

    /** @return iterable<string, array{string, string, array{int, int}}> */
    public static function zones(): iterable
    {
        yield 'always the same hour' => ['Europe/Oslo', '1990-01-01T00:00:00Z', [2 * 3600, 3 * 3600]];
        yield 'none' => ['UTC', '1900-01-01T00:00:00Z', [86400, 0]];
        yield 'a whole day' => ['Pacific/Apia', '2011-01-01T00:00:00Z', [0, 86400]];
        yield 'not since that day' => ['Pacific/Apia', '2022-01-01T00:00:00Z', [86400, 0]];
        yield 'what is skipped may come to another date' => ['Europe/Oslo', '1940-01-01T00:00:00Z', [0, 86400]];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Time\LocalTime;
use SilentKeep\Core\Time\SchoolZone;

/** The same cases are asked of the pages' wall clock (resources/js/lib/time.test.ts): both read a change of clocks alike. */
final class WallClockCasesTest extends TestCase
{
    /**
     * @param  list<array{since: int, seconds: int}>  $offsets
     * @param  list<array{string, int}>  $instants
     * @param  list<array{int, string}>  $walls
     */
    #[DataProvider('zones')]
    public function test_a_wall_clock_is_read_as_pages_are_told_to(string $name, array $offsets, array $instants, array $walls): void
    {
        $zone = SchoolZone::named($name);
        self::assertSame(array_column($offsets, 'seconds', 'since'), $zone->offsets($offsets[0]['since'], 1796000000));
        foreach ($instants as [$wall, $instant]) {
            self::assertSame($instant, $zone->instantOf(LocalTime::parse($wall)), $wall);
        }
        foreach ($walls as [$instant, $wall]) {
            self::assertSame($wall, gmdate('Y-m-d\TH:i', $zone->wallAt($instant)), (string) $instant);
        }
    }

    /** @return iterable<string, array{string, mixed, mixed, mixed}> */
    public static function zones(): iterable
    {
        $cases = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/wall-clock.json'), true, flags: JSON_THROW_ON_ERROR);
        foreach (is_array($cases) ? $cases : [] as $zone => $of) {
            assert(is_array($of));
            yield $zone => [(string) $zone, $of['offsets'], $of['instants'], $of['walls']];
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Time;

use IntlTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Time\ZoneNames;
use SilentKeep\Core\Viewing\Viewer;

/** Every name of the IANA database is a school's zone: read, and decided with over a year, against what ICU knows of it. */
final class ZoneNamesTest extends TestCase
{
    /** A year that has been long enough for both databases to know it. */
    private const YEAR = 2021;

    /** What was known of their past was put right later: one of the two may be the older one. */
    private const CORRECTED = ['Antarctica/Casey', 'Antarctica/Vostok'];

    /** Six hours: no change of a clock is undone within them. */
    private const STEP = 6 * 3600;

    public function test_a_name_that_php_takes_for_an_abbreviation_changes_its_clock(): void
    {
        foreach (['CET' => 7200, 'EET' => 10800, 'MET' => 7200, 'WET' => 3600, 'EST' => -18000, 'MST' => -25200, 'HST' => -36000, 'GMT' => 0, 'GMT+0' => 0, 'GMT-0' => 0, 'UCT' => 0] as $name => $summer) {
            self::assertContains($name, ZoneNames::all());
            $july = gmmktime(12, 0, 0, 7, 15, self::YEAR);
            self::assertSame($july + $summer, SchoolZone::named($name)->wallAt((int) $july), $name);
        }
    }

    #[DataProvider('names')]
    public function test_its_wall_clock_is_that_of_icu_all_year_long(string $name): void
    {
        $icu = IntlTimeZone::createTimeZone($name);
        if (in_array($name, self::CORRECTED, true) || $icu->getID() === IntlTimeZone::getUnknown()->getID()) {
            // Or it was named since: it is read all the same.
            self::assertSame($name, SchoolZone::named($name)->name);

            return;
        }
        $zone = SchoolZone::named($name);
        $wrong = [];
        for ($at = (int) gmmktime(0, 0, 0, 1, 1, self::YEAR); $at < (int) gmmktime(0, 0, 0, 1, 1, self::YEAR + 1); $at += self::STEP) {
            $icu->getOffset($at * 1000, false, $raw, $saving);
            $seconds = intdiv((int) $raw + (int) $saving, 1000);
            if ($zone->wallAt($at) !== $at + $seconds || abs($zone->instantOfWall($at + $seconds) - $at) > 2 * 3600) {
                $wrong[] = gmdate('Y-m-d\TH:i', $at);
            }
        }
        self::assertSame([], $wrong);
    }

    #[DataProvider('names')]
    public function test_a_plan_in_it_is_read_and_decided_with(string $name): void
    {
        $plan = PlanReader::fromJson((string) json_encode([
            'format' => 'silent-keep.plan/1', 'school' => ['zone' => $name, 'guests' => false], 'offers' => [],
            'courses' => [['key' => 'c', 'state' => 'live', 'entry' => 'anyone', 'main_plan' => 'p', 'plans' => ['p' => ['l' => ['opens' => ['rule' => 'on', 'at' => self::YEAR.'-07-15T09:00']]]], 'items' => [['key' => 'l', 'kind' => 'lesson']]]],
        ]));
        $decider = new Decider($plan, $plan->courses['c']);
        $opens = SchoolZone::named($name)->instantOfWall((int) gmmktime(9, 0, 0, 7, 15, self::YEAR));
        $decide = static fn (int $at): string => CompiledDecider::of($decider->prepared)->decide(new Viewer, $at)[0]->state->value;
        self::assertSame(['locked', 'open'], [$decide($opens - 1), $decide($opens)]);
        self::assertSame(9 * 3600, SchoolZone::named($name)->wallAt($opens) % 86400);
    }

    /** @return \Generator<string, array{string}> */
    public static function names(): \Generator
    {
        foreach (ZoneNames::all() as $name) {
            yield $name => [$name];
        }
    }

    public function test_files_beside_the_zones_are_none(): void
    {
        foreach (['leapseconds', 'posixrules', 'tzdata.zi', 'cet', '+01:00', 'Europe/Nowhere', ''] as $name) {
            self::assertFalse(ZoneNames::has($name), $name);
            try {
                SchoolZone::named($name);
                self::fail("{$name} is no zone.");
            } catch (InvalidTime) {
                self::assertNotContains($name, ZoneNames::all());
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Circumstances;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Time\Instant;
use Tests\Core\Documents as D;

/** How many faults planted into sensible plans are named, and how often something is found where nothing was planted. */
final class PlantedFaultsTest extends TestCase
{
    private const PLANS = 100;

    public function test_sensible_plans_raise_no_more_than_three_false_alarms_in_a_hundred(): void
    {
        $alarms = [];
        for ($seed = 1; $seed <= self::PLANS; $seed++) {
            foreach (self::findings(SensiblePlans::of($seed)) as $finding) {
                $alarms[] = "{$seed}: {$finding->kind->value} ".implode(' ', $finding->items);
            }
        }

        self::assertLessThanOrEqual(3, count($alarms), implode("\n", $alarms));
    }

    public function test_at_least_nine_of_ten_planted_faults_are_named(): void
    {
        $missed = $planted = [];
        foreach (PlantedFaults::all() as $name => [$kind, $plant]) {
            for ($seed = 1000, $put = 0; $put < 1; $seed++) {
                $plan = SensiblePlans::of($seed);
                if ($plant($plan) === false) {
                    continue;
                }
                $put++;
                $planted[] = $name;
                if (! in_array($kind, array_map(static fn (Finding $finding): CheckKind => $finding->kind, self::findings($plan)), true)) {
                    $missed[] = "{$name} (plan {$seed})";
                }
            }
        }

        self::assertGreaterThanOrEqual(30, count($planted));
        self::assertLessThanOrEqual(intdiv(count($planted), 10), count($missed), implode("\n", $missed));
    }

    /** @return list<Finding> */
    private static function findings(SensiblePlans $made): array
    {
        $plan = D::plan($made->items, $made->course, $made->offers);

        return Checks::findings(new Survey($plan, $plan->courses['c'], new Circumstances(Instant::parse(ChecksTest::NOW), ...$made->knows)));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Rebuilding\Difference;
use App\Ledger\Rebuilding\PresentTables;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Each answer that anybody was given can be given again later. `LEDGER_SEEDS` and `LEDGER_STEPS` make it a longer run. */
#[Group('long')]
final class SimulatedYearTest extends TestCase
{
    public function test_what_was_answered_is_answered_again(): void
    {
        $seeds = (int) (getenv('LEDGER_SEEDS') ?: 1);
        $steps = (int) (getenv('LEDGER_STEPS') ?: 80);
        for ($seed = 1; $seed <= $seeds; $seed++) {
            $this->demoSchool();
            $hege = $this->person('hege');
            $year = new SimulatedYear($seed, function (string $to, array $form) use ($hege): void {
                $this->inAnotherProcess();
                $this->actingAs($hege)->post($to, $form);
            });
            $year->live($steps);
            $this->inAnotherProcess();
            self::assertSame([], $year->differences(), "seed {$seed}");
            self::assertGreaterThan(10 * $steps, $year->count());
            self::assertSame([], app(VerifyLedger::class)()['findings'], "seed {$seed}");
            self::assertSame(0, array_sum(array_map(static fn (Difference $is): int => $is->count(), app(PresentTables::class)->differences())));
            if ($seeds > 1) {
                ksort($year->did);
                fwrite(STDERR, "seed {$seed}: {$year->count()} answers; ".json_encode($year->did)."\n");
            }
        }
    }
}

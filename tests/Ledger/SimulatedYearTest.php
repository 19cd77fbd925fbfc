<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Value;
use App\Ledger\Proof\VerifyLedger;
use App\Ledger\Rebuilding\Difference;
use App\Ledger\Rebuilding\PresentTables;
use App\Models\Course;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

/** Each answer that anybody was given can be given again later. `LEDGER_SEEDS` and `LEDGER_STEPS` make it a longer run. */
#[Group('long')]
final class SimulatedYearTest extends TestCase
{
    use AgreesWithThePast;

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
            $this->assertWhatChangedAgrees($seed);
            if ($seeds > 1) {
                ksort($year->did);
                fwrite(STDERR, "seed {$seed}: {$year->count()} answers; ".json_encode($year->did)."\n");
            }
        }
    }

    /** Between a few instants of the year: who gained and lost is what they were answered at both. */
    private function assertWhatChangedAgrees(int $seed): void
    {
        mt_srand($seed);
        $instants = DB::table('ledger')->orderBy('id')->pluck('at')->map(Value::int(...))->all();
        foreach (Course::query()->whereIn('key', ['clinker', 'steam-frames'])->get() as $course) {
            for ($pair = 0; $pair < 4; $pair++) {
                $between = [$instants[mt_rand(0, count($instants) - 1)] - mt_rand(0, 1), $instants[mt_rand(0, count($instants) - 1)] + mt_rand(0, 86_400)];
                sort($between);
                $this->assertIsWhatThePastSays($course, $between[0], $between[1] + 1);
            }
        }
    }
}

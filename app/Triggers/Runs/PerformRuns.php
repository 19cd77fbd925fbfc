<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Does some of the runs that are due, and goes on with the others. */
final class PerformRuns implements ShouldQueue
{
    use Queueable;

    private const GROUP = 50;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function handle(PerformRun $perform): void
    {
        $runs = $perform->take(self::GROUP);
        foreach ($runs as $run) {
            $perform($run);
        }
        if (count($runs) === self::GROUP) {
            self::dispatch();
        }
    }
}

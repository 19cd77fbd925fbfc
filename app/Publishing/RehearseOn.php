<?php

declare(strict_types=1);

namespace App\Publishing;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on with a rehearsal in the queue. What it has found is kept after each step: another worker can go on from there. */
final class RehearseOn implements ShouldQueue
{
    use Queueable;

    /** Seconds of one step, after which its progress is told. */
    private const STEP = 1.0;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 20;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $runId)
    {
    }

    public function handle(RehearsalRuns $runs): void
    {
        $start = hrtime(true);
        do {
            $run = $runs->step($this->runId, self::STEP);
            if ($run === null || $run->finished_at !== null) {
                return;
            }
        } while ((hrtime(true) - $start) / 1e9 < self::TURN);
        self::dispatch($this->runId);
    }
}

<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Publishing\Parts\RehearsalParts;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on with a rehearsal, or with a part of one, in the queue. What it has found is kept after each step: another worker can go on from there. */
final class RehearseOn implements ShouldQueue
{
    use Queueable;

    /** Seconds of one step, after which its progress is told. */
    private const STEP = 0.5;

    /** Of the first one: whoever asked is told soon that it goes on. */
    private const FIRST_STEP = 0.1;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 20;

    public int $maxExceptions = 3;

    /** @param  ?int  $partId  null: all of it */
    public function __construct(private readonly int $runId, private readonly ?int $partId = null)
    {
    }

    public function handle(RehearsalRuns $runs, RehearsalParts $parts): void
    {
        $start = hrtime(true);
        $seconds = self::FIRST_STEP;
        do {
            $left = $this->partId === null ? $runs->step($this->runId, $seconds)?->isUnderWay() : $parts->step($this->partId, $seconds);
            if ($left !== true) {
                return;
            }
            $seconds = self::STEP;
        } while ((hrtime(true) - $start) / 1e9 < self::TURN);
        self::dispatch($this->runId, $this->partId);
    }
}

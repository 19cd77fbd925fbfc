<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Models\ActRecord;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Prepares an act in the queue. Each group that is laid down stays: another worker can go on from there. */
final class PrepareAct implements ShouldQueue
{
    use Queueable;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $actId)
    {
    }

    public function handle(StagedActs $acts): void
    {
        $start = hrtime(true);
        $record = ActRecord::query()->find($this->actId);
        while ($record?->state === 'preparing') {
            if ((hrtime(true) - $start) / 1e9 > self::TURN) {
                self::dispatch($this->actId);

                return;
            }
            $acts->prepareSome($record);
        }
    }
}

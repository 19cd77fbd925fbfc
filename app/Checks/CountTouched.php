<?php

declare(strict_types=1);

namespace App\Checks;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on counting whom the findings of a course touch. What has been counted is kept: another worker can go on from there. */
final class CountTouched implements ShouldQueue
{
    use Queueable;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 20;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $count, private readonly string $stamp)
    {
    }

    public function handle(TouchedCounts $counts): void
    {
        $start = hrtime(true);
        while ($counts->step($this->count, $this->stamp)) {
            if ((hrtime(true) - $start) / 1e9 >= self::TURN) {
                self::dispatch($this->count, $this->stamp);

                return;
            }
        }
    }
}

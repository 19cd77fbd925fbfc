<?php

declare(strict_types=1);

namespace App\Counting;

use Illuminate\Contracts\Container\Container;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on counting in the queue. What has been counted is kept: another worker can go on from there. */
final class CountOn implements ShouldQueue
{
    use Queueable;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 20;

    public int $maxExceptions = 3;

    /** @param  class-string<CountsPeople>  $by */
    public function __construct(private readonly int $count, private readonly string $stamp, private readonly string $by)
    {
    }

    public function handle(CountTurn $turn, Container $container): void
    {
        $by = $container->make($this->by);
        $start = hrtime(true);
        while ($turn->step($this->count, $this->stamp, $by)) {
            if ((hrtime(true) - $start) / 1e9 >= self::TURN) {
                self::dispatch($this->count, $this->stamp, $this->by);

                return;
            }
        }
    }
}

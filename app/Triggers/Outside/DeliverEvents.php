<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Tells some of what is due, and goes on with the rest. */
final class DeliverEvents implements ShouldQueue
{
    use Queueable;

    private const GROUP = 10;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function handle(DeliverEvent $deliver): void
    {
        $events = $deliver->take(self::GROUP);
        foreach ($events as $event) {
            $deliver($event);
        }
        if (count($events) === self::GROUP) {
            self::dispatch();
        }
    }
}

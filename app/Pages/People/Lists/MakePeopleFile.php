<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Makes a file of people in the queue. Each part that is made stays: another worker can go on from there. */
final class MakePeopleFile implements ShouldQueue
{
    use Queueable;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $file)
    {
    }

    public function handle(PeopleFileMaker $maker): void
    {
        $start = hrtime(true);
        while ($maker->makeSome($this->file)) {
            if ((hrtime(true) - $start) / 1e9 > self::TURN) {
                self::dispatch($this->file);

                return;
            }
        }
    }

    public function failed(): void
    {
        app(PeopleFileMaker::class)->failed($this->file);
    }
}

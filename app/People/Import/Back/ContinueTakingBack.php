<?php

declare(strict_types=1);

namespace App\People\Import\Back;

use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on with taking a file back, in the queue; another worker can go on where one was stopped. */
final class ContinueTakingBack implements ShouldQueue
{
    use Queueable;

    /** Seconds of one job: others wait in the queue too. */
    private const TURN = 20.0;

    public int $tries = 100;

    public int $maxExceptions = 3;

    public int $timeout = 80;

    public function __construct(private readonly int $importId)
    {
    }

    public function handle(TakingImportBack $back): void
    {
        $start = hrtime(true);
        $import = Import::query()->find($this->importId);
        if ($import?->state === 'taking back') {
            $back->takeBack($import);
        }
        while ($import?->state === 'taken back' && $back->letSomeGo($import)) {
            if ((hrtime(true) - $start) / 1e9 > self::TURN) {
                self::dispatch($this->importId);

                return;
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on with bringing people in, in the queue; another worker can go on where one was stopped. */
final class ContinueImport implements ShouldQueue
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

    public function handle(ImportInParts $bringing): void
    {
        $import = Import::query()->find($this->importId);
        if ($import !== null && $bringing->goOn($import, self::TURN)) {
            self::dispatch($this->importId);
        }
    }
}

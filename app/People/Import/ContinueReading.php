<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Goes on with reading a file of people, in the queue; another worker can go on where one was stopped. */
final class ContinueReading implements ShouldQueue
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

    public function handle(ReadPeopleFile $read): void
    {
        $import = Import::query()->find($this->importId);
        if ($import?->state !== 'reading') {
            return;
        }
        try {
            $read->read($import, self::TURN);
        } catch (NotReadable $e) {
            Import::query()->whereKey($import->id)->where('state', 'reading')->update(['state' => 'refused', 'problem' => $e->getMessage()]);

            return;
        }
        if ($import->state === 'reading') {
            self::dispatch($this->importId);
        }
    }
}

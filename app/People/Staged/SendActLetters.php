<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Models\ActRecord;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Sends the letters of an act that is in force. */
final class SendActLetters implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $actId)
    {
    }

    public function handle(StagedActs $acts): void
    {
        $record = ActRecord::query()->find($this->actId);
        if ($record !== null && $acts->sendLetters($record)) {
            self::dispatch($this->actId);
        }
    }
}

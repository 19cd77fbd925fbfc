<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Models\ActRecord;
use App\Models\Person;
use App\People\Acts\CannotAct;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Takes an act on many people back, in the queue. */
final class TakeActBack implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $actId, private readonly int $actorId)
    {
    }

    public function handle(TakingBack $taking): void
    {
        $record = ActRecord::query()->find($this->actId);
        $actor = Person::query()->find($this->actorId);
        if ($record?->state !== 'undoing' || $actor === null) {
            return;
        }
        try {
            $taking($record, $actor);
        } catch (CannotAct $e) {
            ActRecord::query()->whereKey($record->id)->where('state', 'undoing')->update(['state' => 'done', 'problem' => $e->getMessage()]);
        }
    }
}

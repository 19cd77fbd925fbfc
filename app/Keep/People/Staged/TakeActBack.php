<?php

declare(strict_types=1);

namespace App\Keep\People\Staged;

use App\Actions\UndoAct;
use App\Keep\People\CannotAct;
use App\Models\ActRecord;
use App\Models\Person;
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

    public function handle(UndoAct $undo): void
    {
        $record = ActRecord::query()->find($this->actId);
        $actor = Person::query()->find($this->actorId);
        if ($record?->state !== 'undoing' || $actor === null) {
            return;
        }
        try {
            $undo->finish($record, $actor);
        } catch (CannotAct $e) {
            ActRecord::query()->whereKey($record->id)->where('state', 'undoing')->update(['state' => 'done', 'problem' => $e->getMessage()]);
        }
    }
}

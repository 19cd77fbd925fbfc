<?php

declare(strict_types=1);

namespace App\Triggers\Runs;

use App\Models\Person;
use App\Models\TriggerRun;
use App\People\Acts\CannotAct;
use App\People\UndoAct;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Illuminate\Support\Facades\DB;

/** Takes back all that a run gave or took, the last first; letters that were written stay written. */
final readonly class TakeRunBack
{
    public function __construct(private UndoAct $undo, private ActivityLog $log)
    {
    }

    /** @throws CannotAct where it is not done, or something of it was changed again since: nothing is taken back then */
    public function __invoke(TriggerRun $run, Person $actor): void
    {
        DB::transaction(function () use ($run, $actor): void {
            if (TriggerRun::query()->whereKey($run->id)->where('state', 'done')->update(['state' => 'taken back']) !== 1) {
                throw new CannotAct(Say::text('triggers.not_done'));
            }
            foreach (array_reverse($run->did) as $step) {
                if ($step['act'] !== null) {
                    ($this->undo)($step['act'], $actor, mayAll: true);
                }
            }
            $this->log->note('trigger.taken-back', $actor, person: $run->person, before: ['trigger' => $run->trigger->name, 'cause' => $run->cause]);
        });
    }
}

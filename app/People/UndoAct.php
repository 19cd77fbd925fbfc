<?php

declare(strict_types=1);

namespace App\People;

use App\Models\ActRecord;
use App\Models\Person;
use App\People\Acts\CannotAct;
use App\People\Staged\TakeActBack;
use App\People\Staged\TakingBack;
use App\Words\Say;

/** Takes back what was done to people: all of it, or nothing where some of it has been changed again since. */
final readonly class UndoAct
{
    /** More people than this are left to the queue. */
    private const AT_ONCE = 2000;

    public function __construct(private TakingBack $taking)
    {
    }

    /**
     * @param  bool  $mayAll  else only what the actor has done themselves
     * @return ActRecord undone, or being undone by the queue
     *
     * @throws CannotAct
     */
    public function __invoke(int $record, Person $actor, bool $mayAll): ActRecord
    {
        $act = ActRecord::query()->find($record);
        if ($act === null || ! $act->canBeUndone() || (! $mayAll && $act->actor_id !== $actor->id)
            || ActRecord::query()->whereKey($record)->where('state', 'done')->whereNull('undone_at')->update(['state' => 'undoing', 'problem' => null]) !== 1) {
            throw new CannotAct(Say::text('people_told.undo_act.that_cannot_be_taken'));
        }
        $act->refresh();
        if ($act->touched > self::AT_ONCE) {
            TakeActBack::dispatch($act->id, $actor->id);

            return $act->refresh();
        }
        try {
            ($this->taking)($act, $actor);
        } catch (CannotAct $e) {
            $act->update(['state' => 'done']);
            throw $e;
        }

        return $act;
    }
}

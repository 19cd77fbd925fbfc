<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\Database\Hand;
use App\Database\Room;
use App\Models\ActRecord;
use App\Models\Person;
use App\People\Acts\CannotAct;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Takes an act back that is marked as being taken back, all of it or nothing. */
final readonly class TakingBack
{
    /** Lines of the log that are written in one go. */
    private const LINES = 5000;

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * The lines of the log first, which do not hold yet; then all of it in one short transaction.
     *
     * @throws CannotAct
     */
    public function __invoke(ActRecord $act, Person $actor): void
    {
        $this->layDownLines($act, $actor);
        $read = StagedRows::read($act);
        $seen = ActRecord::nextTurn() - 1;
        $changed = StagedRows::changedAfter($act, (int) $act->turn);
        Room::for(fn () => DB::transaction(function () use ($act, $actor, $read, $seen, $changed): void {
            if ($act->refresh()->state !== 'undoing') {
                throw new CannotAct('That cannot be taken back, or has been already.');
            }
            if ($changed || StagedRows::areOthersNow($read) || StagedRows::changedAfter($act, $seen)) {
                throw new CannotAct('Some of it has been changed again since. Nothing was taken back; please look at the people one by one.');
            }
            Hand::writes($actor->id, "act {$act->id} taken back", static fn () => StagedRows::takeBack($read));
            $act->update(['state' => 'done', 'undone_at' => $this->clock->now(), 'turn' => ActRecord::nextTurn()]);
        }));
    }

    private function layDownLines(ActRecord $act, Person $actor): void
    {
        // A worker that was stopped may have laid down some of them.
        do {
            $gone = DB::delete('delete from activities where id in (select id from activities where act_id = ? and taken_back limit ?)', [$act->id, self::LINES]);
        } while ($gone === self::LINES);
        $told = json_encode(['act' => $act->told], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        $last = 0;
        do {
            $people = DB::table('act_changes')->where('act_id', $act->id)->where('person_id', '>', $last)->distinct()->orderBy('person_id')->limit(self::LINES)->pluck('person_id')->all();
            $next = end($people);
            DB::insert(
                'insert into activities (actor_id, person_id, action, before, happened_at, act_id, taken_back) select ?, person_id, ?, ?, ?, ?, true from (select distinct person_id from act_changes where act_id = ? and person_id > ? and person_id <= ?) people',
                [$actor->id, 'act.undone', $told, gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp()), $act->id, $act->id, $last, is_int($next) ? $next : $last],
            );
            $last = is_int($next) ? $next : $last;
        } while (count($people) === self::LINES);
    }
}

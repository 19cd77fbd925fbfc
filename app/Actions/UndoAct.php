<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\People\CannotAct;
use App\Models\ActRecord;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Takes back what was done to people: all of it, or nothing where some of it has been changed again since. */
final readonly class UndoAct
{
    public function __construct(private ClockInterface $clock, private Journal $journal)
    {
    }

    /**
     * @param  bool  $mayAll  else only what the actor has done themselves
     *
     * @throws CannotAct
     */
    public function __invoke(int $record, Person $actor, bool $mayAll): ActRecord
    {
        return DB::transaction(function () use ($record, $actor, $mayAll): ActRecord {
            $act = ActRecord::query()->whereKey($record)->lockForUpdate()->first();
            if ($act === null || $act->undone_at !== null || $act->changes === [] || (! $mayAll && $act->actor_id !== $actor->id)) {
                throw new CannotAct('That cannot be taken back, or has been already.');
            }
            $people = [];
            foreach (array_reverse($act->changes) as $change) {
                $row = DB::table($change['table'])->where('id', $change['id'])->first();
                $this->refuseIfChanged($change, $row);
                if ($change['before'] === null) {
                    DB::table($change['table'])->where('id', $change['id'])->delete();
                } elseif ($change['after'] === null) {
                    DB::table($change['table'])->insert(['id' => $change['id'], ...$change['before']]);
                } else {
                    DB::table($change['table'])->where('id', $change['id'])->update($change['before']);
                }
                $columns = (array) $row + ($change['before'] ?? []);
                $person = $columns['person_id'] ?? $columns['learner_id'] ?? null;
                $people[is_numeric($person) ? (int) $person : 0] = true;
            }
            $act->forceFill(['undone_at' => $this->clock->now()])->save();
            foreach (Person::query()->whereIn('id', array_keys($people))->get() as $person) {
                $this->journal->note('act.undone', $actor, person: $person, before: ['act' => $act->told]);
            }

            return $act;
        });
    }

    /**
     * @param  array{table: string, id: int, before: ?array<string, scalar|null>, after: ?array<string, scalar|null>}  $change
     */
    private function refuseIfChanged(array $change, ?\stdClass $row): void
    {
        $now = $row === null ? null : get_object_vars($row);
        foreach ($change['after'] ?? [] as $column => $value) {
            $is = $now[$column] ?? null;
            if ($now === null || (is_scalar($is) ? (string) $is : '') !== (is_bool($value) ? ($value ? '1' : '0') : (string) $value)) {
                throw new CannotAct('Some of it has been changed again since. Nothing was taken back; please look at the people one by one.');
            }
        }
        if ($change['after'] === null && $now !== null) {
            throw new CannotAct('Some of it is there again already. Nothing was taken back.');
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\People\ActStep;
use App\Keep\People\ChosenPeople;
use App\Keep\People\PeopleAct;
use App\Keep\People\RowChange;
use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\Person;
use App\Standins\Mail\Post;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Does something to one person or to many, all of it or nothing, and remembers how to take it back. */
final readonly class ActOnPeople
{
    /** People are loaded in groups of this many, so that memory does not grow with their number. */
    private const GROUP = 500;

    public function __construct(private ClockInterface $clock, private Post $post)
    {
    }

    /**
     * What it would do: how many people by outcome, those first to whom something happens.
     *
     * @return array<string, array{count: int, changes: bool, names: list<string>}>
     *
     * @throws \App\Keep\People\CannotAct
     */
    public function preview(PeopleAct $act, ChosenPeople $people): array
    {
        $outcomes = [];
        $this->inGroups($act, $people, static function (array $steps, array $names) use (&$outcomes): void {
            foreach ($steps as $step) {
                $outcomes[$step->outcome] ??= ['count' => 0, 'changes' => $step->changes !== [] || $step->letter !== null, 'names' => []];
                $outcomes[$step->outcome]['count']++;
                if (count($outcomes[$step->outcome]['names']) < 20) {
                    $outcomes[$step->outcome]['names'][] = $names[$step->personId];
                }
            }
        });
        uasort($outcomes, static fn (array $a, array $b): int => [$b['changes'], $b['count']] <=> [$a['changes'], $a['count']]);

        return $outcomes;
    }

    /**
     * @return array{?ActRecord, int} what was done, where anything was; to how many people
     *
     * @throws \App\Keep\People\CannotAct
     */
    public function __invoke(PeopleAct $act, ChosenPeople $people, ?Person $actor): array
    {
        return DB::transaction(function () use ($act, $people, $actor): array {
            $done = [];
            $touched = 0;
            $this->inGroups($act, $people, function (array $steps) use ($act, $actor, &$done, &$touched): void {
                $log = $letters = [];
                foreach ($steps as $step) {
                    if ($step->changes === [] && $step->letter === null) {
                        continue;
                    }
                    $touched++;
                    foreach ($step->changes as $change) {
                        $done[] = $this->apply($change);
                    }
                    if ($step->letter !== null) {
                        $letters[] = $step->letter;
                    }
                    $log[] = $this->line($act, $step, $actor);
                }
                foreach (array_chunk($log, 200) as $some) {
                    Activity::query()->insert($some);
                }
                $this->post->send($letters);
            });
            if ($touched === 0) {
                return [null, 0];
            }
            $record = ActRecord::query()->create([
                'actor_id' => $actor?->id,
                'told' => mb_substr($act->told(), 0, 250),
                'changes' => $act->canBeUndone() ? array_map(static fn (RowChange $change): array => get_object_vars($change), $done) : [],
                'made_at' => $this->clock->now(),
            ]);

            return [$record, $touched];
        });
    }

    /**
     * @param  \Closure(list<ActStep>, array<int, string>): void  $each  with the names by id
     */
    private function inGroups(PeopleAct $act, ChosenPeople $people, \Closure $each): void
    {
        foreach (array_chunk($people->ids(), self::GROUP) as $some) {
            $group = Person::query()->whereIn('id', $some)->orderBy('id')->get()->toBase();
            $names = [];
            foreach ($group as $person) {
                $names[$person->id] = $person->name;
            }
            $each($act->steps($group), $names);
        }
    }

    private function apply(RowChange $change): RowChange
    {
        $table = DB::table($change->table);
        if ($change->id === null) {
            return $change->withId($table->insertGetId($change->after ?? []));
        }
        if ($change->after === null) {
            $table->where('id', $change->id)->delete();
        } else {
            $table->where('id', $change->id)->update($change->after);
        }

        return $change;
    }

    /** @return array<string, mixed> */
    private function line(PeopleAct $act, ActStep $step, ?Person $actor): array
    {
        $json = static fn (array $told): ?string => $told === [] ? null : json_encode($told, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return [
            'actor_id' => $actor?->id, 'course_id' => $step->courseId, 'person_id' => $step->personId, 'action' => $act->name(),
            'before' => $json($step->before), 'after' => $json($step->after), 'happened_at' => gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp()),
        ];
    }
}

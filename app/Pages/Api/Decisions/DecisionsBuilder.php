<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Person;
use App\Words\ClosedWords;
use Generator;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/** Puts together what systems of others are told of decisions: all of it said by the core. */
final readonly class DecisionsBuilder
{
    /** Seconds for which an answer may be kept at most: what people do meanwhile may change it at any time. */
    private const KEPT = 60;

    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** @param  ?string  $item  key of the only one that is asked about */
    public function one(Course $course, Decider $decider, Viewer $viewer, ?Person $person, int $at, ?string $item, bool $inWords): Decisions
    {
        $answer = $this->plans->ask($decider, $viewer, $at);
        $until = $answer->holdsUntil();
        $words = $inWords ? new ClosedWords($decider, $answer->snapshot(), $this->clock) : null;
        $items = [];
        foreach ($answer->decisions() as $decision) {
            if ($item === null || $decision->item === $item) {
                $items[] = ItemDecision::of($decision, $words === null || $decision->state === State::Open ? null : (string) $words->short($decision));
            }
        }

        return new Decisions($course->key, Instant::format($at), $person?->id, $until === Instant::NEVER ? null : Instant::format($until), max(0, min(self::KEPT, $until - $at)), $items);
    }

    /**
     * One after another, so that memory does not grow with their number.
     *
     * @param  list<int>  $people  ids
     * @param  ?list<string>  $items  keys; null: all
     */
    public function many(Course $course, Decider $decider, array $people, ?array $items, int $at): ManyDecisions
    {
        $staff = [];
        foreach (Person::query()->toBase()->whereIntegerInRaw('id', $people)->pluck('role', 'id') as $id => $role) {
            $staff[(int) $id] = $role !== null;
        }
        $missing = array_values(array_filter($people, static fn (int $id): bool => ! isset($staff[$id])));

        return new ManyDecisions($course->key, Instant::format($at), $missing, $this->each($course, $decider, $staff, self::positions($decider, $items), $at));
    }

    /**
     * @param  ?list<string>  $items  keys; null: all
     * @return list<int> in reading order
     */
    private static function positions(Decider $decider, ?array $items): array
    {
        $outline = $decider->course->outline;
        $positions = $items === null ? array_keys($outline->items) : array_values(array_filter(array_map($outline->positionOf(...), $items), is_int(...)));
        sort($positions);

        return $positions;
    }

    /**
     * @param  array<int, bool>  $staff  by id
     * @param  list<int>  $items  positions
     * @return Generator<PersonDecisions>
     */
    private function each(Course $course, Decider $decider, array $staff, array $items, int $at): Generator
    {
        $compiled = $this->plans->compiled($decider);
        foreach ($this->viewers->each($staff, $course) as $id => $viewer) {
            yield new PersonDecisions($id, array_map(static fn (Decision $decision): ItemDecision => ItemDecision::of($decision), (new Answer($decider, $compiled, $viewer, $at))->decisionsOn($items)));
        }
    }
}

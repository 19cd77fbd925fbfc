<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Definition;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\ImpactTally;
use SilentKeep\Core\Foresight\InvalidForesight;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;

/** The definition of impact, person by person and item by item; {@see \SilentKeep\Core\Foresight\Impact} is the same, faster. */
final readonly class SteppingImpact
{
    private ?Decider $before;

    private ?Decider $after;

    /** @var list<string> */
    private array $items;

    /**
     * @param  int  $at  the instant of the change
     * @param  int  $until  the last instant that is looked at
     *
     * @throws InvalidForesight if neither plan has the course
     */
    public function __construct(Plan $before, Plan $after, string $course, private int $at, private int $until)
    {
        $courseBefore = $before->course($course);
        $courseAfter = $after->course($course);
        $this->before = $courseBefore === null ? null : new Decider($before, $courseBefore);
        $this->after = $courseAfter === null ? null : new Decider($after, $courseAfter);
        if ($courseBefore === null && $courseAfter === null) {
            throw InvalidForesight::noSuchCourse($course);
        }
        $keys = static fn (?Decider $decider): array => array_map(static fn ($item): string => $item->key, $decider === null ? [] : $decider->course->outline->items);
        $this->items = array_values(array_unique([...$keys($this->after), ...$keys($this->before)]));
    }

    /** @param  iterable<Person>  $people */
    public function on(iterable $people): ImpactTally
    {
        $tally = new ImpactTally($this->items);
        foreach ($people as $person) {
            $tally->add($person->id, $this->onOne($person->viewer));
        }

        return $tally;
    }

    /** @return array<int, Effect> by index into the items */
    private function onOne(Viewer $viewer): array
    {
        $before = new SteppingPersonUnderPlan($this->before, $viewer, $this->at, $this->until);
        $after = new SteppingPersonUnderPlan($this->after, $viewer, $this->at, $this->until);
        $effects = [];
        foreach ($this->items as $index => $item) {
            $effect = self::effect($before, $after, $item);
            if ($effect !== null) {
                $effects[$index] = $effect;
            }
        }

        return $effects;
    }

    private static function effect(SteppingPersonUnderPlan $before, SteppingPersonUnderPlan $after, string $item): ?Effect
    {
        $was = $before->isOpen($item);
        $is = $after->isOpen($item);
        if ($is && ! $was) {
            return Effect::Gain;
        }
        if ($was && ! $is) {
            return $after->opensAgain($item) ? Effect::Pause : Effect::Lose;
        }
        if (! $was) {
            return Effect::ofMove($before->firstOpen($item), $after->firstOpen($item));
        }
        if ($before->mayAct($item) !== $after->mayAct($item)) {
            return $after->mayAct($item) ? Effect::GainWork : Effect::LoseWork;
        }
        $move = $after->mayAct($item) ? null : Effect::ofMove($before->firstWork($item), $after->firstWork($item));

        return $move ?? Effect::ofEnding($before->ending($item), $after->ending($item));
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;

/**
 * What changing one plan for another does to real people, now and within a time.
 *
 * @see Definition\SteppingImpact for the same, told item by item
 */
final readonly class Impact
{
    private ?CompiledDecider $before;

    private ?CompiledDecider $after;

    private ?Reaching $reachBefore;

    private ?Reaching $reachAfter;

    /** @var list<string> keys in the reading order of the plan after, then those only in the plan before */
    private array $items;

    /** @var list<int> where each item stands in the plan before; -1: nowhere */
    private array $inBefore;

    /** @var list<int> where each item stands in the plan after; -1: nowhere */
    private array $inAfter;

    /** @var ?list<int> null where the outline is that of the answer */
    private ?array $alignBefore;

    /** @var ?list<int> null where the outline is that of the answer */
    private ?array $alignAfter;

    /**
     * @param  int  $at  the instant of the change
     * @param  int  $until  the last instant that is looked at
     *
     * @throws InvalidForesight if neither plan has the course
     */
    public function __construct(Plan $before, Plan $after, string $course, private int $at, private int $until)
    {
        $deciderBefore = self::decider($before, $course);
        $deciderAfter = self::decider($after, $course);
        if ($deciderBefore === null && $deciderAfter === null) {
            throw InvalidForesight::noSuchCourse($course);
        }
        $this->before = $deciderBefore === null ? null : CompiledDecider::of($deciderBefore->prepared);
        $this->after = $deciderAfter === null ? null : CompiledDecider::of($deciderAfter->prepared);
        $this->reachBefore = $deciderBefore === null || $this->before === null ? null : new Reaching($deciderBefore, $this->before);
        $this->reachAfter = $deciderAfter === null || $this->after === null ? null : new Reaching($deciderAfter, $this->after);
        $items = [];
        foreach ([$deciderAfter, $deciderBefore] as $decider) {
            foreach ($decider->course->outline->items ?? [] as $item) {
                $items[] = $item->key;
            }
        }
        $this->items = array_values(array_unique($items, SORT_STRING));
        $this->inBefore = self::positions($this->items, $deciderBefore);
        $this->inAfter = self::positions($this->items, $deciderAfter);
        $same = array_keys($this->items);
        $this->alignBefore = $this->inBefore === $same ? null : $this->inBefore;
        $this->alignAfter = $this->inAfter === $same ? null : $this->inAfter;
    }

    private static function decider(Plan $plan, string $course): ?Decider
    {
        $found = $plan->course($course);

        return $found === null ? null : new Decider($plan, $found);
    }

    /**
     * @param  list<string>  $items
     * @return list<int>
     */
    private static function positions(array $items, ?Decider $decider): array
    {
        return array_map(static fn (string $item): int => $decider?->course->outline->positionOf($item) ?? -1, $items);
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

    /**
     * Who gains and who loses at the instant itself, nothing foreseen: the quick part.
     *
     * @param  iterable<Person>  $people
     */
    public function atOnceOn(iterable $people): ImpactTally
    {
        $tally = new ImpactTally($this->items);
        foreach ($people as $person) {
            $before = $this->under($this->before, $this->reachBefore, $person->viewer);
            $after = $this->under($this->after, $this->reachAfter, $person->viewer);
            $was = self::aligned($before->open ?? '', $this->alignBefore);
            $is = self::aligned($after->open ?? '', $this->alignAfter);
            $effects = [];
            self::set($effects, $is & ~$was, Effect::Gain);
            self::set($effects, $was & ~$is, Effect::Lose);
            $tally->add($person->id, $effects);
        }

        return $tally;
    }

    private function under(?CompiledDecider $decider, ?Reaching $reaching, Viewer $viewer): ?PersonUnderPlan
    {
        return $decider === null || $reaching === null ? null : new PersonUnderPlan($decider, $reaching, $viewer, $this->at, $this->until);
    }

    /** @return array<int, Effect> by index into the items */
    private function onOne(Viewer $viewer): array
    {
        $before = $this->under($this->before, $this->reachBefore, $viewer);
        $after = $this->under($this->after, $this->reachAfter, $viewer);
        $was = self::aligned($before->open ?? '', $this->alignBefore);
        $is = self::aligned($after->open ?? '', $this->alignAfter);
        $worked = self::aligned($before->works ?? '', $this->alignBefore);
        $works = self::aligned($after->works ?? '', $this->alignAfter);

        $effects = [];
        self::set($effects, $is & ~$was, Effect::Gain);
        $lost = $was & ~$is;
        if (str_contains($lost, Mask::IN)) {
            $again = $after === null ? $lost ^ $lost : self::aligned($after->opensLater(), $this->alignAfter);
            self::set($effects, $lost & $again, Effect::Pause);
            self::set($effects, $lost & ~$again, Effect::Lose);
        }
        $both = $was & $is;
        self::set($effects, $both & $works & ~$worked, Effect::GainWork);
        self::set($effects, $both & $worked & ~$works, Effect::LoseWork);
        $same = $both & ~($works ^ $worked);
        $this->foresee($effects, $before, $after, $same & ~$works, ~($was | $is) & str_repeat(Mask::IN, strlen($was)));
        $this->compareEndings($effects, $before, $after, $same);

        return $effects;
    }

    /**
     * Effects 4 and 6.
     *
     * @param  array<int, Effect>  $effects
     * @param  string  $lookOnly  open in both, to look at only
     * @param  string  $shut  open in neither
     */
    private function foresee(array &$effects, ?PersonUnderPlan $before, ?PersonUnderPlan $after, string $lookOnly, string $shut): void
    {
        if (! str_contains($lookOnly.$shut, Mask::IN)) {
            return;
        }
        [$openBefore, $worksBefore] = $before?->reach() ?? [[], []];
        [$openAfter, $worksAfter] = $after?->reach() ?? [[], []];
        foreach ([[$lookOnly, $worksBefore, $worksAfter], [$shut, $openBefore, $openAfter]] as [$mask, $was, $is]) {
            if ($was === $is && $this->inBefore === $this->inAfter) {
                continue;
            }
            for ($item = strpos($mask, Mask::IN); $item !== false; $item = strpos($mask, Mask::IN, $item + 1)) {
                $effect = Effect::ofMove($was[$this->inBefore[$item]] ?? null, $is[$this->inAfter[$item]] ?? null);
                if ($effect !== null) {
                    $effects[$item] = $effect;
                }
            }
        }
    }

    /**
     * Effect 5, where nothing fitted before.
     *
     * @param  array<int, Effect>  $effects
     * @param  string  $same  open in both in the same way
     */
    private function compareEndings(array &$effects, ?PersonUnderPlan $before, ?PersonUnderPlan $after, string $same): void
    {
        if (! str_contains($same, Mask::IN)) {
            return;
        }
        $was = $before?->endings() ?? [];
        $is = $after?->endings() ?? [];
        if ($was === $is && $this->inBefore === $this->inAfter) {
            return;
        }
        for ($item = strpos($same, Mask::IN); $item !== false; $item = strpos($same, Mask::IN, $item + 1)) {
            $effect = isset($effects[$item]) ? null : Effect::ofEnding($was[$this->inBefore[$item]] ?? null, $is[$this->inAfter[$item]] ?? null);
            if ($effect !== null) {
                $effects[$item] = $effect;
            }
        }
    }

    /** @param  array<int, Effect>  $effects */
    private static function set(array &$effects, string $items, Effect $effect): void
    {
        for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
            $effects[$item] = $effect;
        }
    }

    /**
     * A mask of one plan's outline as one of the items of both.
     *
     * @param  ?list<int>  $positions  null: the outlines are one and the same
     */
    private static function aligned(string $mask, ?array $positions): string
    {
        if ($positions === null) {
            return $mask;
        }
        $aligned = '';
        foreach ($positions as $position) {
            $aligned .= $position < 0 ? Mask::OUT : $mask[$position];
        }

        return $aligned;
    }
}

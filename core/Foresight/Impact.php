<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Viewer;

/**
 * What changing one plan for another does to real people, now and within a time.
 *
 * @see Definition\SteppingImpact for the same, told item by item
 */
final class Impact
{
    /** How many bytes of fates are kept in mind at a time. */
    private const MOST_KEPT = 24 << 20;

    private readonly ?CompiledDecider $before;

    private readonly ?CompiledDecider $after;

    private readonly ?Reaching $reachBefore;

    private readonly ?Reaching $reachAfter;

    /** @var list<string> keys in the reading order of the plan after, then those only in the plan before */
    private readonly array $items;

    /** @var list<int> where each item stands in the plan before; -1: nowhere */
    private readonly array $inBefore;

    /** @var list<int> where each item stands in the plan after; -1: nowhere */
    private readonly array $inAfter;

    /** @var ?list<int> null where the outline is that of the answer */
    private readonly ?array $alignBefore;

    /** @var ?list<int> null where the outline is that of the answer */
    private readonly ?array $alignAfter;

    /** Nothing, on any item. */
    private readonly string $none;

    /** Null where one of the plans has no such course. */
    private readonly ?SameFate $sameFate;

    /** @var array<string, string> what the change does, by what it can see of somebody */
    private array $known = [];

    private int $knownBytes = 0;

    /**
     * @param  int  $at  the instant of the change
     * @param  int  $until  the last instant that is looked at
     *
     * @throws InvalidForesight if neither plan has the course
     */
    public function __construct(Plan $before, Plan $after, string $course, private readonly int $at, private readonly int $until)
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
        $this->none = str_repeat(Mask::OUT, count($this->items));
        $this->sameFate = $this->before === null || $this->after === null ? null : new SameFate($this->before, $this->after, $at);
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
            $tally->addAs($person->id, $this->onOne($person->viewer));
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
            $was = self::aligned($this->before?->viewer($person->viewer, $this->at)->open($this->at)[0] ?? '', $this->alignBefore);
            $is = self::aligned($this->after?->viewer($person->viewer, $this->at)->open($this->at)[0] ?? '', $this->alignAfter);
            $tally->addAs($person->id, self::as($is & ~$was, Effect::Gain) | self::as($was & ~$is, Effect::Lose));
        }

        return $tally;
    }

    /** @return string a byte an item, as {@see ImpactTally::addAs()} takes it */
    private function onOne(Viewer $viewer): string
    {
        $before = $this->before?->viewer($viewer, $this->at);
        $after = $this->after?->viewer($viewer, $this->at);
        if ($before === null || $after === null || $this->sameFate === null || ! $this->sameFate->isTold($before, $after)) {
            return $this->reckoned($before, $after);
        }
        $moved = $this->sameFate->moved($before, $after);
        if ($moved === '') {
            return $this->none;
        }
        $fate = $this->sameFate->of($before, $after);
        if (isset($this->known[$fate])) {
            return $this->known[$fate];
        }
        $this->knownBytes += strlen($fate) + strlen($this->none);
        if ($this->knownBytes > self::MOST_KEPT) {
            $this->known = [];
            $this->knownBytes = 0;
        }

        return $this->known[$fate] = $this->reckoned($before, $after, $moved);
    }

    /** @param  ?string  $moved  mask of what has other dates, if that is all the change does to them; null: it may do more */
    private function reckoned(?ViewerMasks $viewerBefore, ?ViewerMasks $viewerAfter, ?string $moved = null): string
    {
        $before = $this->before === null || $this->reachBefore === null || $viewerBefore === null ? null : new PersonUnderPlan($this->before, $this->reachBefore, $viewerBefore, $this->at, $this->until);
        $after = $this->after === null || $this->reachAfter === null || $viewerAfter === null ? null : new PersonUnderPlan($this->after, $this->reachAfter, $viewerAfter, $this->at, $this->until);
        $was = self::aligned($before->open ?? '', $this->alignBefore);
        $is = self::aligned($after->open ?? '', $this->alignAfter);
        $worked = self::aligned($before->works ?? '', $this->alignBefore);
        $works = self::aligned($after->works ?? '', $this->alignAfter);

        $effects = self::as($is & ~$was, Effect::Gain);
        $lost = $was & ~$is;
        if (str_contains($lost, Mask::IN)) {
            $again = $after === null ? $lost ^ $lost : self::aligned($after->opensLater(), $this->alignAfter);
            $effects |= self::as($lost & $again, Effect::Pause) | self::as($lost & ~$again, Effect::Lose);
        }
        $both = $was & $is;
        $same = $both;
        if ($worked !== $works) {
            $effects |= self::as($both & $works & ~$worked, Effect::GainWork) | self::as($both & $worked & ~$works, Effect::LoseWork);
            $same = $both & ~($works ^ $worked);
        }
        $this->foresee($effects, $before, $after, $same & ~$works, ~($was | $is) & str_repeat(Mask::IN, strlen($was)), $moved);
        $this->compareEndings($effects, $before, $after, $same);

        return $effects;
    }

    /**
     * Effects 4 and 6.
     *
     * @param  string  $effects  so far
     * @param  string  $lookOnly  open in both, to look at only
     * @param  string  $shut  open in neither
     * @param  ?string  $moved  as {@see self::reckoned()} has it
     */
    private function foresee(string &$effects, ?PersonUnderPlan $before, ?PersonUnderPlan $after, string $lookOnly, string $shut, ?string $moved): void
    {
        if (! str_contains($lookOnly.$shut, Mask::IN)) {
            return;
        }
        [$openBefore, $worksBefore] = $before?->reach($moved) ?? [[], []];
        [$openAfter, $worksAfter] = $after?->reach($moved) ?? [[], []];
        foreach ([[$lookOnly, $worksBefore, $worksAfter], [$shut, $openBefore, $openAfter]] as [$mask, $was, $is]) {
            if ($this->alignBefore === null && $this->alignAfter === null) {
                self::moves($effects, $mask, $was, $is);

                continue;
            }
            for ($item = strpos($mask, Mask::IN); $item !== false; $item = strpos($mask, Mask::IN, $item + 1)) {
                $then = $was[$this->inBefore[$item]] ?? null;
                $now = $is[$this->inAfter[$item]] ?? null;
                if ($then !== $now) {
                    $effects[$item] = self::byte(Effect::ofMove($then, $now));
                }
            }
        }
    }

    /**
     * The same where both outlines are one.
     *
     * @param  string  $effects  so far
     * @param  list<?int>  $was
     * @param  list<?int>  $is
     */
    private static function moves(string &$effects, string $mask, array $was, array $is): void
    {
        if ($was === $is) {
            return;
        }
        foreach ($was as $item => $then) {
            if ($then !== $is[$item] && $mask[$item] === Mask::IN) {
                $effects[$item] = self::byte(Effect::ofMove($then, $is[$item]));
            }
        }
    }

    /**
     * Effect 5, where nothing fitted before.
     *
     * @param  string  $effects  so far
     * @param  string  $same  open in both in the same way
     */
    private function compareEndings(string &$effects, ?PersonUnderPlan $before, ?PersonUnderPlan $after, string $same): void
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
            if ($effects[$item] === Mask::OUT) {
                $effects[$item] = self::byte(Effect::ofEnding($was[$this->inBefore[$item]] ?? null, $is[$this->inAfter[$item]] ?? null));
            }
        }
    }

    private static function byte(?Effect $effect): string
    {
        return $effect === null ? Mask::OUT : chr(ImpactTally::byte($effect));
    }

    /** An effect on a mask of items. */
    private static function as(string $items, Effect $effect): string
    {
        return Mask::as($items, ImpactTally::byte($effect));
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

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/** What counts for a pass, what of it is done, and where prerequisites stand in the way. */
final class Progress
{
    public readonly Precedence $turns;

    private readonly string $eligibleLessons;

    private string $undoneLessons;

    private ?string $passes = null;

    /** Items whose own prerequisites are unmet. */
    private string $unmet = '';

    /** Those of them that are not complete. */
    private string $blocked = '';

    /** @var array<int, true> items whose own prerequisites are known to be met: as more is done, that stays so */
    private array $met = [];

    public function __construct(private readonly CompiledCourse $course, private readonly string $eligible, private string $done)
    {
        $this->turns = $course->turns($eligible);
        $this->eligibleLessons = $eligible & $course->lessons;
        $this->undoneLessons = $this->eligibleLessons & ($done ^ $course->all);
    }

    /** One more lesson or part is done. */
    public function finish(int $item): void
    {
        $this->done[$item] = Mask::IN;
        $this->undoneLessons[$item] = Mask::OUT;
        $this->passes = null;
    }

    /** @param  string  $items  lessons and parts */
    public function finishAll(string $items): void
    {
        $this->done |= $items;
        $this->undoneLessons &= $items ^ $this->course->all;
        $this->passes = null;
    }

    /** Whether the progress gate passes for one item: as {@see self::passes()}, where few are asked about. */
    public function passesFor(int $item): bool
    {
        foreach ($this->course->gates[$item] as $gate) {
            if (isset($this->met[$gate])) {
                continue;
            }
            if ($this->prerequisitesMet($gate)) {
                $this->met[$gate] = true;

                continue;
            }
            foreach ($this->course->upward[$item] as $step) {
                if ($this->isComplete($step)) {
                    return true;
                }
                if ($step === $gate) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Where the progress gate passes. */
    public function passes(): string
    {
        if ($this->passes !== null) {
            return $this->passes;
        }
        $course = $this->course;
        $undone = $this->done ^ $course->all;
        $unmet = $course->none;
        foreach ($this->turns->byDistance as $distance => $items) {
            $unmet |= $items & (str_repeat(Mask::OUT, $distance).substr($undone, 0, -$distance));
        }
        foreach ($this->turns->behindModules as $item => $module) {
            if ($this->course->hasRequired($this->undoneLessons, $module)) {
                $unmet[$item] = Mask::IN;
            }
        }
        $done = $this->done;
        foreach ($this->turns->after as $item => [$plain, $modules, $needed]) {
            foreach ($plain as $key) {
                if ($done[$key] === Mask::IN) {
                    $needed--;
                }
            }
            if ($needed > 0 && ($modules === [] || ! $this->modulesMake($modules, $needed))) {
                $unmet[$item] = Mask::IN;
            }
        }
        $this->unmet = $unmet;
        $blocked = $unmet & $undone;
        foreach ($course->modulesThatWait as $module) {
            if ($blocked[$module] === Mask::IN && $this->isComplete($module)) {
                $blocked[$module] = Mask::OUT;
            }
        }
        $this->blocked = $blocked;

        return $this->passes = $this->shutBelow($blocked);
    }

    /**
     * Where it fails and would go on failing if all of this were done too.
     *
     * @param  string  $more  what might still be done
     */
    public function stuck(string $more): string
    {
        $this->passes();
        if (! str_contains($this->blocked, Mask::IN)) {
            return $this->course->none;
        }
        $best = new self($this->course, $this->eligible, $this->done | ($more & $this->eligible));
        $best->passes();

        return $this->shutBelow($this->blocked & $best->unmet) ^ $this->course->all;
    }

    /** All items but those shut and what is inside them, as far as nothing complete stands between. */
    private function shutBelow(string $shut): string
    {
        $course = $this->course;
        $open = $shut ^ $course->all;
        $containers = $shut & $course->containers;
        $until = 0;
        for ($item = strpos($containers, Mask::IN); $item !== false; $item = strpos($containers, Mask::IN, $item + 1)) {
            if ($item < $until) {
                continue;
            }
            $until = $course->outline->end[$item];
            for ($inside = $item + 1; $inside < $until; $inside++) {
                if ($open[$course->outline->parent[$inside]] === Mask::OUT && ! $this->isComplete($inside)) {
                    $open[$inside] = Mask::OUT;
                }
            }
        }

        return $open;
    }

    public function isComplete(int $item): bool
    {
        if (! $this->course->isModule[$item]) {
            return $this->done[$item] === Mask::IN;
        }

        return $this->course->hasRequired($this->eligibleLessons, $item) && ! $this->course->hasRequired($this->undoneLessons, $item);
    }

    /** Its own, whatever it stands in. */
    public function prerequisitesMet(int $item): bool
    {
        $before = $this->turns->before[$item] ?? null;
        if ($before !== null && ($this->course->isModule[$before] ? $this->course->hasRequired($this->undoneLessons, $before) : $this->done[$before] === Mask::OUT)) {
            return false;
        }

        return $this->afterMet($item);
    }

    private function afterMet(int $item): bool
    {
        if (! isset($this->turns->after[$item])) {
            return true;
        }
        [$plain, $modules, $needed] = $this->turns->after[$item];
        foreach ($plain as $key) {
            $needed -= $this->done[$key] === Mask::IN ? 1 : 0;
        }

        return $needed <= 0 || $this->modulesMake($modules, $needed);
    }

    /**
     * Whether so many of these modules have no lesson left.
     *
     * @param  list<int>  $modules  with lessons that count
     */
    private function modulesMake(array $modules, int $needed): bool
    {
        foreach ($modules as $module) {
            $needed -= $this->course->hasRequired($this->undoneLessons, $module) ? 0 : 1;
        }

        return $needed <= 0;
    }
}

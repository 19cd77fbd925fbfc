<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Mask;

/** What counts for a pass, what of it is done, and where prerequisites stand in the way. */
final class Progress
{
    private string $undoneLessons;

    private ?string $passes = null;

    /** What was supposed to be done too when it was last asked what fails. */
    private ?string $supposed = null;

    private string $failing = '';

    private ?Turns $turns = null;

    /** Items whose own prerequisites are unmet and that are not complete. */
    private string $blocked = '';

    /** @var array<int, true> items whose own prerequisites are known to be met: as more is done, that stays so */
    private array $met = [];

    /** @param  string  $done  mask without modules, which are complete by their lessons */
    public function __construct(private readonly CourseMasks $course, private readonly Precedence $precedence, private string $done)
    {
        $this->undoneLessons = $precedence->lessons & ($done ^ $course->all);
    }

    /** One more lesson or part is done. */
    public function finish(int $item): void
    {
        $this->done[$item] = Mask::IN;
        $this->undoneLessons[$item] = Mask::OUT;
        $this->passes = $this->supposed = null;
    }

    /** @param  string  $items  lessons and parts */
    public function finishAll(string $items): void
    {
        $this->done |= $items;
        $this->undoneLessons &= $items ^ $this->course->all;
        $this->passes = $this->supposed = null;
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
            for ($step = $item; $step >= 0; $step = $this->course->outline->parent[$step]) {
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
        $blocked = $this->precedence->unmet($undone, $this->undoneLessons) & $undone;
        foreach ($course->modulesThatWait as $module) {
            if ($blocked[$module] === Mask::IN && $this->isComplete($module)) {
                $blocked[$module] = Mask::OUT;
            }
        }
        $this->blocked = $blocked;

        return $this->passes = $this->shutBelow($blocked);
    }

    /**
     * Where it fails, as bits of reasons: 64, or 128 where it would go on failing if more were done too.
     *
     * @param  string  $more  what might still be done
     */
    public function failing(string $more): string
    {
        if ($more === $this->supposed) {
            return $this->failing;
        }
        $this->supposed = $more;
        $shut = $this->passes() ^ $this->course->all;
        $stuck = $this->stuck($more);
        $progress = $stuck === $this->course->none ? Mask::as($shut, 64) : Mask::as($shut & ($stuck ^ $this->course->all), 64) | Mask::as($stuck, 128);

        return $this->failing = $progress;
    }

    private function stuck(string $more): string
    {
        if (! str_contains($this->blocked, Mask::IN)) {
            return $this->course->none;
        }
        $undone = ($this->done | ($more & $this->precedence->eligible)) ^ $this->course->all;
        $never = $this->blocked & $this->precedence->unmet($undone, $this->undoneLessons & $undone);

        return str_contains($never, Mask::IN) ? $this->shutBelow($never) ^ $this->course->all : $this->course->none;
    }

    /** All items but those shut and what is inside them, as far as nothing complete stands between. */
    private function shutBelow(string $shut): string
    {
        if (! str_contains($shut, Mask::IN)) {
            return $this->course->all;
        }
        $open = $shut ^ $this->course->all;
        foreach ($this->course->runsInside as $container => $runs) {
            if ($open[$container] === Mask::IN) {
                continue;
            }
            foreach ($runs as [$first, $length]) {
                $open = substr_replace($open, substr($this->done, $first, $length), $first, $length);
            }
            foreach ($this->course->containersInside[$container] as $inside) {
                if (! $this->isComplete($inside)) {
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

        return ! $this->course->hasRequired($this->undoneLessons, $item) && $this->course->hasRequired($this->precedence->lessons, $item);
    }

    /** Its own, whatever it stands in. */
    public function prerequisitesMet(int $item): bool
    {
        $before = $this->turns()->before[$item] ?? null;
        if ($before !== null && ($this->course->isModule[$before] ? $this->course->hasRequired($this->undoneLessons, $before) : $this->done[$before] === Mask::OUT)) {
            return false;
        }

        return $this->afterMet($item);
    }

    private function afterMet(int $item): bool
    {
        $after = $this->turns()->after[$item] ?? null;
        if ($after === null) {
            return true;
        }
        [$plain, $modules, $needed] = $after;
        foreach ($plain as $key) {
            $needed -= $this->done[$key] === Mask::IN ? 1 : 0;
        }

        return $needed <= 0 || $this->modulesMake($modules, $needed);
    }

    public function turns(): Turns
    {
        return $this->turns ??= $this->precedence->turns();
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

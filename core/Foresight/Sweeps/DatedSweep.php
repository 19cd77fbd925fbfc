<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Sweeps;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\Order\Progress;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Time\Instant;

/**
 * The same as {@see Sweep} for viewers who go by dates alone: each item is looked at when it is released,
 * and again only when something it waits for has been finished. The work grows with the items and what they
 * wait for, not with the instants.
 */
final class DatedSweep
{
    /** @var array<int, ?int> by item, each of them */
    public array $open;

    /** @var array<int, ?int> by item, each of them */
    public array $works;

    private string $done;

    /** @var array<int, Progress> by the pass's place among the viewer's passes */
    private array $progress = [];

    /** @var array<int, string> by pass: what is released and still waits */
    private array $waiting = [];

    /** @var array<int, int> by pass: how many of them */
    private array $waits = [];

    /** @var array<int, int> by pass: the instant from which it opens nothing more */
    private array $ends = [];

    /** @var array<int, string> by pass: what its holder may ever come to */
    private array $reachable = [];

    /** @param  int  $before  the first instant that no longer counts; `$from` itself always does */
    public function __construct(private readonly ViewerMasks $viewer, int $from, int $before)
    {
        $course = $viewer->course;
        $this->open = $this->works = array_fill(0, $course->count, null);
        $this->done = $viewer->done;
        $this->samples($from, $before);
        $events = [];
        foreach ($viewer->passes as $index => $pass) {
            [$begins, $ends] = $pass->stretch();
            $begins = max($begins, $from);
            // `$from` counts even where nothing after it does.
            if ($begins >= $ends || ($begins >= $before && $begins !== $from)) {
                continue;
            }
            $this->progress[$index] = new Progress($course, $pass->footing($from)->precedence, $this->done);
            $this->waiting[$index] = $course->none;
            $this->waits[$index] = 0;
            $this->ends[$index] = $ends;
            foreach ($pass->releases() as $step => $release) {
                $at = $release > $begins ? $release : $begins;
                if ($at < $ends && ($at < $before || $at === $from)) {
                    $events[$at][] = [$index, $step];
                }
            }
        }
        ksort($events);
        foreach ($events as $at => $released) {
            foreach ($released as [$index, $step]) {
                $this->release($index, $step, $at);
            }
        }
    }

    private function samples(int $from, int $before): void
    {
        $course = $this->viewer->course->prepared->course;
        $at = max($from, $course->opens ?? PHP_INT_MIN);
        if (! $this->viewer->course->hasSamples || $at >= ($course->closes ?? Instant::NEVER) || ($at >= $before && $at !== $from)) {
            return;
        }
        $samples = $this->viewer->asSample($at) & $this->viewer->course->published;
        for ($item = strpos($samples, Mask::IN); $item !== false; $item = strpos($samples, Mask::IN, $item + 1)) {
            $this->open[$item] = $at;
        }
    }

    private function release(int $index, int $step, int $at): void
    {
        $pass = $this->viewer->passes[$index];
        $ungated = $this->viewer->course->ungated;
        $reachable = $this->reachable($index);
        $progress = $this->progress[$index];
        $behindOne = $progress->turns()->behindOne;
        foreach ($pass->pacing->releases[$step] as $item) {
            if ($reachable[$item] === Mask::OUT || $this->works[$item] !== null) {
                continue;
            }
            if ($ungated[$item] === Mask::IN || $this->done[$item] === Mask::IN
                || (isset($behindOne[$item]) ? $this->done[$behindOne[$item]] === Mask::IN : $progress->passesFor($item))) {
                if ($at < $pass->closings()[$pass->pacing->closingStep[$item]]) {
                    $this->note($item, $at);
                }
            } else {
                $this->waiting[$index][$item] = Mask::IN;
                $this->waits[$index]++;
            }
        }
    }

    private function reachable(int $index): string
    {
        return $this->reachable[$index] ??= $this->viewer->passes[$index]->footing($this->viewer->passes[$index]->pass->from)->inReach & $this->viewer->course->published;
    }

    private function note(int $item, int $at): void
    {
        $this->works[$item] = $at;
        if ($this->open[$item] === null || $this->open[$item] > $at) {
            $this->open[$item] = $at;
        }
        $course = $this->viewer->course;
        if ($this->done[$item] === Mask::IN || $course->lessonsAndParts[$item] === Mask::OUT) {
            return;
        }
        $this->done[$item] = Mask::IN;
        foreach ($this->progress as $progress) {
            $progress->finish($item);
        }
        foreach ($this->waits as $index => $waits) {
            if ($waits > 0) {
                $this->wakeBehind($index, $item, $at);
            }
        }
    }

    private function wakeBehind(int $index, int $item, int $at): void
    {
        $course = $this->viewer->course;
        $progress = $this->progress[$index];
        $turns = $progress->turns();
        if (isset($turns->nextInTurn[$item])) {
            $this->reconsider($index, $turns->nextInTurn[$item], $at, passes: true);
        }
        foreach ($turns->wakes[$item] ?? [] as $woken) {
            $this->wake($index, $woken, $at);
        }
        if ($course->containers[$item] === Mask::IN) {
            $this->reconsiderInside($index, $item, $at);
        }
        foreach ($course->modules[$item] as $module) {
            if (! $progress->isComplete($module)) {
                continue;
            }
            foreach ($turns->wakes[$module] ?? [] as $woken) {
                $this->wake($index, $woken, $at);
            }
            $this->reconsiderInside($index, $module, $at);
        }
    }

    private function wake(int $index, int $item, int $at): void
    {
        if ($this->progress[$index]->prerequisitesMet($item)) {
            $this->reconsider($index, $item, $at);
            $this->reconsiderInside($index, $item, $at);
        }
    }

    private function reconsiderInside(int $index, int $container, int $at): void
    {
        $end = $this->viewer->course->outline->end[$container];
        for ($item = strpos($this->waiting[$index], Mask::IN, $container); $item !== false && $item < $end; $item = $item + 1 < $end ? strpos($this->waiting[$index], Mask::IN, $item + 1) : false) {
            $this->reconsider($index, $item, $at);
        }
    }

    /** @param  bool  $passes  whether it is known already that nothing stands in the way */
    private function reconsider(int $index, int $item, int $at, bool $passes = false): void
    {
        // Work done by another pass may come to pass after this one has ended.
        if ($this->waiting[$index][$item] === Mask::OUT || $at >= $this->ends[$index] || ! ($passes || $this->progress[$index]->passesFor($item))) {
            return;
        }
        $pass = $this->viewer->passes[$index];
        $this->waiting[$index][$item] = Mask::OUT;
        $this->waits[$index]--;
        if ($this->works[$item] === null && $at < $pass->closings()[$pass->pacing->closingStep[$item]]) {
            $this->note($item, $at);
        }
    }
}

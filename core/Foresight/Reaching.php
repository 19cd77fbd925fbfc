<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Sweeps\DatedSweep;
use SilentKeep\Core\Foresight\Sweeps\ItemByItem;
use SilentKeep\Core\Foresight\Sweeps\Rounds;
use SilentKeep\Core\Foresight\Sweeps\Sweep;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Reach in one sweep: the same as {@see Definition\SteppingReach}, which defines it.
 *
 * At each instant only what could open then and has not opened yet is looked at, in reading order, and what
 * is finished counts at once for what follows. That gives the same instants as long as finishing something
 * never shuts anything; where a condition asks what is done, it is gone round by round, as it is defined.
 */
final readonly class Reaching
{
    private CompiledDecider $compiled;

    public function __construct(Decider $decider, ?CompiledDecider $compiled = null)
    {
        $this->compiled = $compiled ?? CompiledDecider::of($decider->prepared);
    }

    /** @param  int  $before  the first instant that no longer counts; `$from` itself always does */
    public function reach(Viewer $viewer, int $from, int $before = Instant::NEVER): Reach
    {
        return $this->ofMasks($this->compiled->viewer($viewer, $from), $from, $before);
    }

    private function ofMasks(ViewerMasks $viewer, int $from, int $before): Reach
    {
        [$open, $works] = $this->when($viewer, $from, $before);
        $then = Decider::asOf($viewer->viewer, $from);
        $done = $then->done;
        foreach ($viewer->course->outline->items as $item => $it) {
            if ($works[$item] !== null && $viewer->course->lessonsAndParts[$item] === Mask::IN && ! isset($done[$it->key])) {
                $done[$it->key] = $works[$item];
            }
        }

        return new Reach($open, $works, [$from, ...$this->compiled->instants($viewer, $from, $before)], $then->withDone($done));
    }

    /**
     * When each item is first open, and first open to work in.
     *
     * @param  ?string  $about  mask; of what does not depend on when these open nothing need be told. Null: of all
     * @return array{list<?int>, list<?int>}
     */
    public function when(ViewerMasks $viewer, int $from, int $before, ?string $about = null): array
    {
        if ($viewer->course->conditions->whatIsDone) {
            $rounds = new Rounds($viewer->course, $viewer->viewer, $from);
            foreach ([$from, ...$this->compiled->instants($viewer, $from, $before)] as $at) {
                $rounds->at($at);
            }

            return [$rounds->open, $rounds->works];
        }
        if ($viewer->goesByDatesAlone()) {
            $journey = ItemByItem::of($viewer, $from, $before, $about);
            if ($journey !== null) {
                return $journey;
            }
            $sweep = new DatedSweep($viewer, $from, $before);

            return [array_values($sweep->open), array_values($sweep->works)];
        }
        $sweep = new Sweep($viewer);
        $sweep->at($from);
        foreach ($this->compiled->instants($viewer, $from, $before) as $at) {
            $sweep->at($at);
        }

        return [self::byItem($sweep->opened, $viewer->course->count), self::byItem($sweep->worked, $viewer->course->count)];
    }

    /**
     * @param  array<int, string>  $byInstant
     * @return list<?int>
     */
    private static function byItem(array $byInstant, int $count): array
    {
        $byItem = array_fill(0, $count, null);
        foreach ($byInstant as $at => $items) {
            for ($item = strpos($items, Mask::IN); $item !== false; $item = strpos($items, Mask::IN, $item + 1)) {
                $byItem[$item] = $at;
            }
        }

        return array_values($byItem);
    }
}

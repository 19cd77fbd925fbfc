<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Definition\SteppingReach;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * Reach in one sweep: the same as {@see SteppingReach}, which defines it.
 *
 * At each instant only what could open then and has not opened yet is looked at, in reading order, and what
 * is finished counts at once for what follows. That gives the same instants as long as finishing something
 * never shuts anything; where a condition asks what is done, and for observers, the definition is asked.
 */
final readonly class Reaching
{
    private CompiledDecider $compiled;

    private SteppingReach $definition;

    public function __construct(Decider $decider, ?CompiledDecider $compiled = null)
    {
        $this->compiled = $compiled ?? CompiledDecider::of($decider->prepared);
        $this->definition = new SteppingReach($decider);
    }

    /** @param  int  $before  the first instant that no longer counts; `$from` itself always does */
    public function reach(Viewer $viewer, int $from, int $before = Instant::NEVER): Reach
    {
        return $this->ofMasks($this->compiled->viewer($viewer, $from), $from, $before);
    }

    public function ofMasks(ViewerMasks $viewer, int $from, int $before): Reach
    {
        if ($viewer->observed !== null || $this->compiled->compiled->conditionsOnDone) {
            return $this->definition->reach($viewer->viewer, $from, $before);
        }
        $instants = [$from, ...$this->compiled->instants($viewer, $from, $before)];
        $sweep = new Sweep($viewer);
        foreach ($instants as $at) {
            $sweep->at($at);
        }
        $done = array_filter($viewer->viewer->done, static fn (int $since): bool => $since <= $from);
        foreach ($sweep->finished as $item => $at) {
            $done[$this->compiled->compiled->outline->items[$item]->key] = $at;
        }

        return new Reach($sweep->open, $sweep->works, $instants, $viewer->viewer->withDone($done));
    }
}

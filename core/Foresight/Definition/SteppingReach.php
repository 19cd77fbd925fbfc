<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Definition;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Reach;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * The definition of reach: steps through the instants of change, finishing at each all there is to
 * finish. Whoever is observed finishes nothing.
 */
final readonly class SteppingReach
{
    public function __construct(private Decider $decider)
    {
    }

    /** @param  int  $before  the first instant that no longer counts; `$from` itself always does */
    public function reach(Viewer $viewer, int $from, int $before = Instant::NEVER): Reach
    {
        $outline = $this->decider->course->outline;
        $viewer = Decider::asOf($viewer, $from);
        $open = $works = array_fill(0, $outline->count(), null);
        $instants = [$from, ...$this->decider->changePoints->between($viewer, $from, $before)];
        foreach ($instants as $at) {
            do {
                $news = false;
                $done = $viewer->done;
                foreach ($this->decider->snapshot($viewer, $at)->standings as $position => $standing) {
                    if ($standing->isOpen() && $open[$position] === null) {
                        $open[$position] = $at;
                        $news = true;
                    }
                    if (! $standing->isOpen() || ! $standing->act) {
                        continue;
                    }
                    if ($works[$position] === null) {
                        $works[$position] = $at;
                        $news = true;
                    }
                    $item = $outline->items[$position];
                    if (($item->kind === Kind::Lesson || $item->kind === Kind::Part) && ! isset($done[$item->key])) {
                        $done[$item->key] = $at;
                        $news = true;
                    }
                }
                $viewer = $viewer->withDone($done);
            } while ($news);
        }

        return new Reach($open, $works, $instants, $viewer);
    }
}

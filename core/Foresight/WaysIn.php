<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Viewer;

/** The offers that would open a closed item sooner than waiting does. */
final readonly class WaysIn
{
    private Reaching $reaching;

    public function __construct(private Decider $decider, private SchoolZone $zone)
    {
        $this->reaching = new Reaching($decider);
    }

    /**
     * @return list<WayIn> the earliest first, then in document order
     *
     * @throws InvalidForesight if the course has no such item
     */
    public function to(string $item, Viewer $viewer, int $at): array
    {
        $course = $this->decider->course;
        $position = $course->outline->positionOf($item) ?? throw InvalidForesight::noSuchItem($item);
        if ($course->state !== CourseState::Live || $this->decider->snapshot($viewer, $at)->standings[$position]->isOpen()) {
            return [];
        }
        $viewer = $viewer->signedIn();
        $waiting = $this->reaching->reach($viewer, $at)->open[$position] ?? Instant::NEVER;
        $ways = [];
        foreach ($course->offers as $offer) {
            $pass = NewPass::of($offer, $at, $viewer->passes, $this->decider->prepared, $this->zone);
            if ($pass->until <= $at) {
                continue;
            }
            $holder = $viewer->withPass($pass);
            $opens = $this->reaching->reach($holder, $at, $pass->until)->open[$position];
            if ($opens !== null && $opens < $waiting) {
                // What is done stays as it is at the ask, whatever is recorded for later.
                $byTime = $this->decider->snapshot(Decider::asOf($holder, $at), $opens)->standings[$position]->isOpen();
                $ways[] = new WayIn($offer, $pass, $opens, $byTime);
            }
        }
        usort($ways, static fn (WayIn $a, WayIn $b): int => $a->opens <=> $b->opens);

        return $ways;
    }
}

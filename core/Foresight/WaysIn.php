<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
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
        $waiting = $this->reaching->reach($viewer->signedIn(), $at)->open[$position] ?? Instant::NEVER;
        $ways = [];
        foreach ($this->withEach($viewer, $at) as [$offer, $pass, $holder, $open]) {
            $opens = $open[$position];
            if ($opens !== null && $opens < $waiting) {
                // What is done stays as it is at the ask, whatever is recorded for later.
                $byTime = $this->decider->snapshot(Decider::asOf($holder, $at), $opens)->standings[$position]->isOpen();
                $ways[] = new WayIn($offer, $pass, $opens, $byTime);
            }
        }
        usort($ways, static fn (WayIn $a, WayIn $b): int => $a->opens <=> $b->opens);

        return $ways;
    }

    /**
     * The same of all items at once: which offers would open each that is closed sooner than waiting does.
     *
     * @return array<int, list<string>> keys of offers, in document order, by position; nothing for what is open or no offer opens
     */
    public function all(Viewer $viewer, int $at): array
    {
        if ($this->decider->course->state !== CourseState::Live) {
            return [];
        }
        $standings = $this->decider->snapshot($viewer, $at)->standings;
        $waiting = $this->reaching->reach($viewer->signedIn(), $at)->open;
        $ways = [];
        foreach ($this->withEach($viewer, $at) as [$offer, , , $open]) {
            foreach ($open as $position => $opens) {
                if ($opens !== null && $opens < ($waiting[$position] ?? Instant::NEVER) && ! $standings[$position]->isOpen()) {
                    $ways[$position][] = $offer->key;
                }
            }
        }

        return $ways;
    }

    /**
     * Whoever takes each offer, with when they would at best be let in where.
     *
     * @return \Generator<int, array{Offer, Pass, Viewer, list<?int>}>
     */
    private function withEach(Viewer $viewer, int $at): \Generator
    {
        $viewer = $viewer->signedIn();
        foreach ($this->decider->course->offers as $offer) {
            $pass = NewPass::of($offer, $at, $viewer->passes, $this->decider->prepared, $this->zone);
            if ($pass->until > $at) {
                $holder = $viewer->withPass($pass);
                yield [$offer, $pass, $holder, $this->reaching->reach($holder, $at, $pass->until)->open];
            }
        }
    }
}

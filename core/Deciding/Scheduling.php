<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\OfferCoverage;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** Computes the dates of a pass: they depend on its beginning alone, never on labels, on what is done or on the clock. */
final readonly class Scheduling
{
    public function __construct(private Course $course, private SchoolZone $zone)
    {
    }

    public function schedule(Pass $pass, Offer $offer, OfferCoverage $coverage): Schedule
    {
        $outline = $this->course->outline;
        $start = max($pass->pacingStart(), $this->course->opens ?? PHP_INT_MIN);
        $plan = $offer->plan;
        if ($plan === null) {
            $count = $outline->count();

            return new Schedule(array_fill(0, $count, $start), array_fill(0, $count, Instant::NEVER));
        }
        $previous = $this->previousItems($offer);
        /** @var list<int> $release */
        $release = [];
        /** @var list<int> $closing */
        $closing = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $opening = $plan->opening($at);
            $before = $opening->countsFromPrevious() ? $previous->of($at) : null;
            $own = $opening->instant($start, $before === null ? null : $release[$before], $this->zone);
            $release[] = max($above === Outline::TOP ? $start : $release[$above], $own, $start);
            $closes = $plan->closing($at)?->instant($release[$at] === Instant::NEVER ? Instant::NEVER : max($release[$at], $pass->from), $this->zone);
            $closing[] = min($above === Outline::TOP ? Instant::NEVER : $closing[$above], $closes ?? Instant::NEVER);
            if ($item->kind !== Kind::Board && ! $outline->draftOnPath[$at] && $coverage->covers($at) && $release[$at] !== Instant::NEVER) {
                $previous->add($at);
            }
        }

        return new Schedule($release, $closing);
    }

    public function previousItems(Offer $offer): PreviousItems
    {
        return new PreviousItems($this->course->outline, $offer);
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** Computes the dates of a pass: they depend on its beginning and its holder's labels, never on what is done or on the clock. */
final readonly class Scheduling
{
    public function __construct(private Course $course, private SchoolZone $zone)
    {
    }

    /** @param  list<string>  $labels  of the pass's holder */
    public function schedule(Pass $pass, Offer $offer, OfferCoverage $coverage, array $labels): Schedule
    {
        $outline = $this->course->outline;
        $start = max($pass->pacingStart(), $this->course->opens ?? PHP_INT_MIN);
        $plan = $offer->plan;
        if ($plan === null) {
            $count = $outline->count();

            return new Schedule(array_fill(0, $count, $start), array_fill(0, $count, Instant::NEVER));
        }
        $open = $this->notRuledOut($offer, $labels);
        /** @var list<int> $release */
        $release = [];
        /** @var list<int> $closing */
        $closing = [];
        /** @var array<int, int> $previous by depth: the release of the last item that can be a "previous" one */
        $previous = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $depth = $outline->depth[$at];
            $own = $plan->opening($at)->instant($start, $previous[$depth] ?? null, $this->zone);
            $release[] = max($above === Outline::TOP ? $start : $release[$above], $own, $start);
            $closes = $plan->closing($at)?->instant($release[$at] === Instant::NEVER ? Instant::NEVER : max($release[$at], $pass->from), $this->zone);
            $closing[] = min($above === Outline::TOP ? Instant::NEVER : $closing[$above], $closes ?? Instant::NEVER);
            if ($item->kind !== Kind::Board && ! $outline->draftOnPath[$at] && $coverage->covers($at) && $open[$at] && $release[$at] !== Instant::NEVER) {
                $previous[$depth] = $release[$at];
            }
        }

        return new Schedule($release, $closing);
    }

    /**
     * Of each item: whether no condition on its path is false for such a holder whatever is done and whatever the clock says.
     *
     * @param  list<string>  $labels
     * @return list<bool>
     */
    public function notRuledOut(Offer $offer, array $labels): array
    {
        $facts = new TimelessFacts($offer, $labels);
        $open = [];
        foreach ($this->course->outline->items as $at => $item) {
            $above = $this->course->outline->parent[$at];
            $open[] = ($above === Outline::TOP || $open[$above]) && ($item->only === null || $item->only->read($facts) !== Truth::No);
        }

        return $open;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Conditions\Audiences;
use SilentKeep\Core\Conditions\OfferCoverage;
use SilentKeep\Core\Conditions\UndatedFacts;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** A course with all that can be worked out before anybody looks at it. */
final class PreparedCourse
{
    public readonly Outline $outline;

    public readonly Admission $guests;

    public readonly Admission $observers;

    public readonly DatedTimes $datedTimes;

    public readonly Samples $samples;

    /** @var list<bool> whether an item of the path has tiers, an empty list being one too */
    public readonly array $tiersOnPath;

    private readonly Scheduling $scheduling;

    /** @var array<array-key, OfferCoverage> by offer key */
    private array $coverages = [];

    public function __construct(public readonly Plan $plan, public readonly Course $course)
    {
        $this->outline = $course->outline;
        $this->guests = new Admission($course->outline, Audience::Guests, $course->guestDoor);
        $this->observers = new Admission($course->outline, Audience::Observers, $course->observerDoor);
        $this->datedTimes = new DatedTimes($course);
        $this->scheduling = new Scheduling($course, $plan->zone);
        $this->samples = new Samples($course->outline);
        $tiers = [];
        foreach ($course->outline->items as $at => $item) {
            $above = $course->outline->parent[$at];
            $tiers[] = $item->tiers !== null || ($above !== Outline::TOP && $tiers[$above]);
        }
        $this->tiersOnPath = $tiers;
    }

    /** The pass's offer, if it is one of this course. */
    public function offerOf(Pass $pass): ?Offer
    {
        $offer = $this->plan->offer($pass->offer);

        return $offer?->course === $this->course->key ? $offer : null;
    }

    public function coverage(Offer $offer): OfferCoverage
    {
        return $this->coverages[$offer->key] ??= new OfferCoverage($offer, $this->outline);
    }

    public function schedule(Pass $pass, Offer $offer): Schedule
    {
        return $this->scheduling->schedule($pass, $offer, $this->coverage($offer));
    }

    /** @see PreviousItems */
    public function previousItems(Offer $offer): PreviousItems
    {
        return $this->scheduling->previousItems($offer);
    }

    /**
     * Of each item: whether no condition on its path is false for a holder with these labels, whatever is done and whatever
     * the clock says.
     *
     * @param  list<string>  $labels  those that the offer gives are added
     * @return list<bool>
     */
    public function notRuledOut(Offer $offer, array $labels): array
    {
        return Audiences::notSettledAgainst($this->outline, new UndatedFacts($offer, [...$labels, ...$offer->labels]));
    }
}

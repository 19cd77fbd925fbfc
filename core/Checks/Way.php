<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Foresight\Reach;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;

/** What whoever takes an offer now, with these labels, comes to at best. */
final readonly class Way
{
    /**
     * @param  list<string>  $labels
     * @param  list<bool>  $meant  by position: whether the pass is meant to lead there by itself, sooner or later
     * @param  CourseSnapshot  $last  in the season, with all done that could be
     */
    public function __construct(public Offer $offer, public Pass $pass, public array $labels, public array $meant, public Reach $reach, public CourseSnapshot $last)
    {
    }

    public function opens(int $position): ?int
    {
        return $this->reach->open[$position];
    }

    /** @return list<int> positions of what is waited for in vain */
    public function waitsFor(int $position): array
    {
        return $this->last->nearestPass($position)?->waitsFor($position) ?? [];
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;

/** How a pass is made, whatever makes it. Renewals and upgrades do not start the pacing again. */
final class NewPass
{
    private function __construct()
    {
    }

    /** @param  list<Pass>  $held  what the person holds already, of this course or others */
    public static function of(Offer $offer, int $from, array $held, PreparedCourse $course, SchoolZone $zone): Pass
    {
        $pacedFrom = null;
        foreach ($held as $pass) {
            $other = $course->offerOf($pass);
            if ($other !== null && $pass->state !== PassState::Revoked && $other->plan?->name === $offer->plan?->name && $pass->until >= $from) {
                $pacedFrom = min($pacedFrom ?? $pass->pacingStart(), $pass->pacingStart());
            }
        }

        return new Pass($offer->key, $from, $offer->lasts->end($from, $zone), PassState::Active, $pacedFrom !== null && $pacedFrom < $from ? $pacedFrom : null);
    }
}

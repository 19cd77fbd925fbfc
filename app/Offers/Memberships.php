<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\PaidEvery;

/** How far payments carry a membership: by calendar months from its beginning, so that a day of the month stays that day. */
final readonly class Memberships
{
    public function __construct(private SchoolClock $clock, private SchoolOf $school)
    {
    }

    /** The instant until which so many payments are enough. */
    public function paidUntil(int $from, PaidEvery $every, int $payments): int
    {
        return $this->clock->plusMonths($from, $every->months() * $payments);
    }

    /** Its passes last some days longer, so that a payment which comes late shuts nobody out; without one they end by themselves. */
    public function passUntil(int $paidUntil): int
    {
        return $this->clock->plusDays($paidUntil, ($this->school)()->missed_days);
    }
}

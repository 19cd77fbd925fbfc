<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

final readonly class ClosesAfterOpening implements Closing
{
    /** @param  int  $days  calendar days in the school's zone */
    public function __construct(public int $days)
    {
    }

    public function instant(int $opened, SchoolZone $zone): int
    {
        return $opened === Instant::NEVER ? Instant::NEVER : $zone->plusDays($opened, $this->days);
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

/** So many calendar days after an instant, at its own time of day or another, perhaps on the next weekday. */
final readonly class Delay
{
    /**
     * @param  ?int  $time  seconds since midnight, school time
     * @param  ?int  $weekday  Monday is 1
     */
    public function __construct(public int $days, public ?int $time = null, public ?int $weekday = null)
    {
    }

    public function after(int $instant, SchoolZone $zone): int
    {
        return $zone->plusDays($instant, $this->days, $this->time, $this->weekday);
    }
}

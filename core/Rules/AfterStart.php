<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

final readonly class AfterStart implements Opening
{
    public function __construct(public Delay $delay)
    {
    }

    public function instant(int $start, ?int $previous, SchoolZone $zone): int
    {
        return $this->delay->after($start, $zone);
    }

    public function dated(): null
    {
        return null;
    }

    public function isRelative(): bool
    {
        return true;
    }

    public function countsFromPrevious(): bool
    {
        return false;
    }

    public function delay(): Delay
    {
        return $this->delay;
    }
}

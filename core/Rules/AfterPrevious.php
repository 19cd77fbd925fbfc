<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

final readonly class AfterPrevious implements Opening
{
    public function __construct(public Delay $delay)
    {
    }

    public function instant(int $start, ?int $previous, SchoolZone $zone): int
    {
        return $this->delay->after($previous ?? $start, $zone);
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
        return true;
    }

    public function delay(): Delay
    {
        return $this->delay;
    }
}

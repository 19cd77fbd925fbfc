<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

final readonly class AtOnce implements Opening
{
    public function instant(int $start, ?int $previous, SchoolZone $zone): int
    {
        return $start;
    }

    public function dated(): null
    {
        return null;
    }

    public function isRelative(): bool
    {
        return false;
    }

    public function countsFromPrevious(): bool
    {
        return false;
    }

    public function delay(): null
    {
        return null;
    }
}

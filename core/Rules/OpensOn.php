<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

final readonly class OpensOn implements Opening
{
    public function __construct(public int $at)
    {
    }

    public function instant(int $start, ?int $previous, SchoolZone $zone): int
    {
        return $this->at;
    }

    public function dated(): int
    {
        return $this->at;
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

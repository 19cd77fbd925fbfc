<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

/** No pass opens it; only a grant does. */
final readonly class Held implements Opening
{
    public function instant(int $start, ?int $previous, SchoolZone $zone): int
    {
        return Instant::NEVER;
    }

    public function dated(): int
    {
        return Instant::NEVER;
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

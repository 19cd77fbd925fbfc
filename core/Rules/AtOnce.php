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
}

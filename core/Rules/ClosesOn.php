<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

final readonly class ClosesOn implements Closing
{
    public function __construct(public int $at)
    {
    }

    public function instant(int $opened, SchoolZone $zone): int
    {
        return $this->at;
    }
}

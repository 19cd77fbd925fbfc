<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;

/** How long a pass of an offer lasts. */
final readonly class Lasting
{
    private function __construct(public ?int $days, public ?int $until)
    {
    }

    public static function forGood(): self
    {
        return new self(null, null);
    }

    /** Calendar days in the school's zone, at the wall-clock time of the beginning. */
    public static function days(int $days): self
    {
        return new self($days, null);
    }

    public static function until(int $instant): self
    {
        return new self(null, $instant);
    }

    /** @return int the first instant at which a pass from `$from` has ended, or {@see Instant::NEVER} */
    public function end(int $from, SchoolZone $zone): int
    {
        return $this->days !== null ? $zone->plusDays($from, $this->days) : $this->until ?? Instant::NEVER;
    }
}

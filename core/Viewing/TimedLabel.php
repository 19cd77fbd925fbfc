<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

use SilentKeep\Core\Time\Instant;

/** A label held for a time, in `[from, until)`; never, if `until` is not after `from`. */
final readonly class TimedLabel
{
    public function __construct(public string $label, public int $from, public int $until = Instant::NEVER)
    {
    }

    public function isHeld(int $at): bool
    {
        return $this->from <= $at && $at < $this->until;
    }
}

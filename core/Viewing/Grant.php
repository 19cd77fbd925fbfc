<?php

declare(strict_types=1);

namespace SilentKeep\Core\Viewing;

use SilentKeep\Core\Time\Instant;

/** An explicit permission for one person on one item and all inside it, in `[from, until)`. */
final readonly class Grant
{
    public function __construct(public string $item, public int $from, public int $until = Instant::NEVER)
    {
    }

    public function isActive(int $at): bool
    {
        return $this->from <= $at && $at < $this->until;
    }
}

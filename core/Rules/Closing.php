<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

/**
 * When an item closes again by a release plan.
 *
 * @phpstan-sealed ClosesOn|ClosesAfterOpening
 */
interface Closing
{
    /**
     * @param  int  $opened  when the item is released, or the pass's `from` if that is later; may be never
     * @return int the first instant at which it is closed, or {@see \SilentKeep\Core\Time\Instant::NEVER}
     */
    public function instant(int $opened, SchoolZone $zone): int;
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

use SilentKeep\Core\Time\SchoolZone;

/**
 * When an item opens by a release plan, its parents and the pass's beginning left aside.
 *
 * @phpstan-sealed AtOnce|OpensOn|Held|AfterStart|AfterPrevious
 */
interface Opening
{
    /**
     * @param  int  $start  the instant from which the pass is paced
     * @param  ?int  $previous  when the item before this one is released; null if there is none
     * @return int the instant, or {@see \SilentKeep\Core\Time\Instant::NEVER}
     */
    public function instant(int $start, ?int $previous, SchoolZone $zone): int;
}

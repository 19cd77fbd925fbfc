<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** How a lesson or part becomes complete. Never looked at in a decision. */
final readonly class Finish
{
    /** @param  ?float  $threshold  the share to be watched (above 0, at most 1) or the score to be reached (0 to 1); null for the others */
    public function __construct(public FinishedBy $by, public ?float $threshold = null)
    {
    }
}

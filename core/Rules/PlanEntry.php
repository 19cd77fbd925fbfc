<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** What a release plan says of one item. */
final readonly class PlanEntry
{
    public function __construct(public Opening $opens, public ?Closing $closes)
    {
    }
}

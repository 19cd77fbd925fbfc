<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class ReleasePlan
{
    /** @param  array<int, PlanEntry>  $entries  by the item's position in reading order; an item without one opens at once and never closes */
    public function __construct(public string $name, public array $entries)
    {
    }

    public function opening(int $at): Opening
    {
        return ($this->entries[$at] ?? null)->opens ?? new AtOnce;
    }

    public function closing(int $at): ?Closing
    {
        return ($this->entries[$at] ?? null)?->closes;
    }
}

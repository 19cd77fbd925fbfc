<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

/** What conditions say of the holder of a pass that no date changes: the same for as long as their labels are. */
final readonly class UndatedAudience
{
    /**
     * @param  string  $possible  mask of where none is settled against them
     * @param  string  $holding  mask of where all hold
     */
    public function __construct(public string $possible, public string $holding)
    {
    }
}

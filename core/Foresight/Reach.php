<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Viewing\Viewer;

/** The best case of a viewer: when each item is first open, and first open to work in. */
final readonly class Reach
{
    /**
     * @param  list<?int>  $open  by position in reading order; null: not at all
     * @param  list<?int>  $works
     * @param  non-empty-list<int>  $instants  at which anything might change
     * @param  Viewer  $afterwards  with all that was done by the last of them
     */
    public function __construct(public array $open, public array $works, public array $instants, public Viewer $afterwards)
    {
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Comparing;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Viewing\Viewer;

/** The rules of a course and what was known of somebody, from an instant on until the next stage begins. */
final readonly class Stage
{
    /**
     * @param  ?Decider  $decider  null: the course was not there
     * @param  ?CompiledDecider  $compiled  of the same
     * @param  int  $at  seconds since 1970
     * @param  string  $cause  what began it
     */
    public function __construct(public ?Decider $decider, public ?CompiledDecider $compiled, public Viewer $viewer, public int $at, public string $cause)
    {
    }
}

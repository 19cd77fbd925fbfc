<?php

declare(strict_types=1);

namespace App\Access;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;

/** A course ready to be asked, both by its definition and by masks. */
final readonly class CompiledPlan
{
    public function __construct(public Decider $decider, public CompiledDecider $compiled)
    {
    }
}

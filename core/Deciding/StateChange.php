<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

final readonly class StateChange
{
    public function __construct(public int $at, public State $state)
    {
    }
}

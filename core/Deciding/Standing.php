<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

/** What one item is to one viewer at one instant, without the reasons. */
final readonly class Standing
{
    /** @param  bool  $act  whether the viewer may work there (complete, answer), not just look */
    public function __construct(public State $state, public ?Route $via, public bool $act)
    {
    }

    public function isOpen(): bool
    {
        return $this->state === State::Open;
    }
}

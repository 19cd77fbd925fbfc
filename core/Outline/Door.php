<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

final readonly class Door
{
    /**
     * @param  bool  $default  whether items that say nothing themselves admit whoever came by this door
     * @param  bool  $follow  observers only: see what the observed learner sees, instead of what the door admits by itself
     */
    public function __construct(public bool $open, public bool $default, public bool $follow = false)
    {
    }
}

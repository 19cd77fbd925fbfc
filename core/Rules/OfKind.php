<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class OfKind implements Condition
{
    public function __construct(public ViewerKind $kind)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return Truth::of($facts->isKind($this->kind));
    }
}

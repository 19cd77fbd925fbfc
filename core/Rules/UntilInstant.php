<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class UntilInstant implements Condition
{
    public function __construct(public int $at)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return $facts->isUntil($this->at);
    }
}

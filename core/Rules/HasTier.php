<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class HasTier implements Condition
{
    public function __construct(public string $tier)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return Truth::of($facts->hasTier($this->tier));
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class HasLabel implements Condition
{
    public function __construct(public string $label)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return $facts->hasLabel($this->label);
    }
}

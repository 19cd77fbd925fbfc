<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class NotSo implements Condition
{
    public function __construct(public Condition $condition)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return $this->condition->read($facts)->negated();
    }
}

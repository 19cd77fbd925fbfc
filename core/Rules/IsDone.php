<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class IsDone implements Condition
{
    public function __construct(public int $item)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return $facts->isDone($this->item);
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

final readonly class ByOffer implements Condition
{
    public function __construct(public string $offer)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        return Truth::of($facts->isByOffer($this->offer));
    }
}

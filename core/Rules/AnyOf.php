<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** Any of nothing does not hold. */
final readonly class AnyOf implements Condition
{
    /** @param  list<Condition>  $conditions */
    public function __construct(public array $conditions)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        $most = Truth::No;
        foreach ($this->conditions as $condition) {
            $truth = $condition->read($facts);
            if ($truth->value > $most->value) {
                $most = $truth;
            }
        }

        return $most;
    }
}

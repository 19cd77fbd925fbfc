<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** All of nothing holds. */
final readonly class AllOf implements Condition
{
    /** @param  list<Condition>  $conditions */
    public function __construct(public array $conditions)
    {
    }

    public function read(ConditionFacts $facts): Truth
    {
        $least = Truth::Yes;
        foreach ($this->conditions as $condition) {
            $truth = $condition->read($facts);
            if ($truth->value < $least->value) {
                $least = $truth;
            }
        }

        return $least;
    }
}

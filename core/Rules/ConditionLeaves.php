<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** What a condition asks in the end, however it is put together. */
final class ConditionLeaves
{
    /** @return list<Condition> none of them made of others, as often as they are named, in reading order */
    public static function of(Condition $condition): array
    {
        return match (true) {
            $condition instanceof AllOf, $condition instanceof AnyOf => array_merge([], ...array_map(self::of(...), $condition->conditions)),
            $condition instanceof NotSo => self::of($condition->condition),
            default => [$condition],
        };
    }
}

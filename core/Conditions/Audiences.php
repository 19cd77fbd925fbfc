<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;

final class Audiences
{
    private function __construct()
    {
    }

    /**
     * Of each item: whether every condition on its path holds.
     *
     * @return list<bool>
     */
    public static function holding(Outline $outline, ConditionFacts $facts): array
    {
        return self::along($outline, $facts, static fn (Truth $truth): bool => $truth === Truth::Yes);
    }

    /**
     * Of each item: whether no condition on its path has come out false.
     *
     * @return list<bool>
     */
    public static function notSettledAgainst(Outline $outline, ConditionFacts $facts): array
    {
        return self::along($outline, $facts, static fn (Truth $truth): bool => $truth !== Truth::No);
    }

    /**
     * @param  \Closure(Truth): bool  $passes
     * @return list<bool>
     */
    private static function along(Outline $outline, ConditionFacts $facts, \Closure $passes): array
    {
        $result = [];
        foreach ($outline->items as $at => $item) {
            $above = $outline->parent[$at];
            $result[] = ($above === Outline::TOP || $result[$above]) && ($item->only === null || $passes($item->only->read($facts)));
        }

        return $result;
    }
}

<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

/** Which items a rule speaks of. */
final class ItemReferences
{
    private function __construct()
    {
    }

    /** @return list<string> the items that prerequisites name */
    public static function inPrerequisites(mixed $after): array
    {
        $named = [];
        foreach (['all', 'any', 'of'] as $list) {
            $keys = $after instanceof \stdClass ? $after->{$list} ?? [] : [];
            array_push($named, ...array_values(array_filter(is_array($keys) ? $keys : [], is_string(...))));
        }

        return $named;
    }

    /** @return list<string> the items that a condition wants done */
    public static function inCondition(mixed $condition): array
    {
        if (is_array($condition)) {
            return array_merge([], ...array_map(self::inCondition(...), array_values($condition)));
        }
        if (! $condition instanceof \stdClass) {
            return [];
        }
        $asked = is_string($condition->done ?? null) ? [$condition->done] : [];

        return [...$asked, ...self::inCondition($condition->all ?? null), ...self::inCondition($condition->any ?? null), ...self::inCondition($condition->not ?? null)];
    }
}

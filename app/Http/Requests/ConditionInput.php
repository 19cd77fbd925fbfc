<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Document\DocumentCondition;
use App\Words\Say;

/** A condition as a form sends it, in the shape of the plan format. Whether it is a good one is for the core to say. */
final class ConditionInput
{
    private function __construct()
    {
    }

    /** Null: no condition. Text that was left empty comes as null and stays text here. */
    public static function read(mixed $input): ?DocumentCondition
    {
        $read = is_array($input) && ! array_is_list($input) ? self::part($input) : null;

        return is_array($read) ? DocumentCondition::from($read) : null;
    }

    private static function part(mixed $input): mixed
    {
        return is_array($input) ? array_map(self::part(...), $input) : $input ?? '';
    }

    /**
     * Labels that nobody has typed yet: the format takes any text, a person means something by it.
     *
     * @return array<string, string> messages by the part, as in `only.all.1.label`
     */
    public static function emptyLabels(?DocumentCondition $condition, string $at = 'only'): array
    {
        if ($condition === null) {
            return [];
        }
        $asks = $condition->asks();
        if ($asks === 'label') {
            return trim($condition->value()) === '' ? ["{$at}.label" => Say::text('refused.condition_input.please_type_a_label')] : [];
        }
        $found = [];
        foreach ($condition->parts() as $index => $part) {
            $found += self::emptyLabels($part, "{$at}.{$asks}".(is_array($condition->member($asks)) ? ".{$index}" : ''));
        }

        return $found;
    }
}

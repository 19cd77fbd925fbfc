<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A condition as a form sends it, in the shape of the plan format. Whether it is a good one is for the core to say. */
final class ConditionInput
{
    private function __construct()
    {
    }

    /** Null: no condition. Text that was left empty comes as null and stays text here. */
    public static function read(mixed $input): ?\stdClass
    {
        $read = self::part($input);

        return $read instanceof \stdClass ? $read : null;
    }

    private static function part(mixed $input): mixed
    {
        if (! is_array($input)) {
            return $input ?? '';
        }
        if (array_is_list($input)) {
            return array_map(self::part(...), $input);
        }

        return (object) array_map(self::part(...), $input);
    }

    /**
     * Labels that nobody has typed yet: the format takes any text, a person means something by it.
     *
     * @return array<string, string> messages by the part, as in `only.all.1.label`
     */
    public static function emptyLabels(mixed $condition, string $at = 'only'): array
    {
        $found = [];
        foreach (is_array($condition) || $condition instanceof \stdClass ? (array) $condition : [] as $key => $part) {
            $found += $key === 'label' && is_string($part) && trim($part) === ''
                ? ["{$at}.label" => 'Please type a label.']
                : self::emptyLabels($part, "{$at}.{$key}");
        }

        return $found;
    }
}

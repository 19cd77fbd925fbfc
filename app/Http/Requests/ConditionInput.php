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
}

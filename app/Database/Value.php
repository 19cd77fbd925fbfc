<?php

declare(strict_types=1);

namespace App\Database;

/** What the database gives is of any type: here it is of the one that its column has. */
final class Value
{
    /** Zero where there is none, as of the greatest of no rows. */
    public static function int(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    public static function float(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }

    public static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /**
     * @param  iterable<mixed>  $values
     * @return list<string>
     */
    public static function texts(iterable $values): array
    {
        $texts = [];
        foreach ($values as $value) {
            $texts[] = self::text($value);
        }

        return $texts;
    }

    /**
     * @param  iterable<mixed>  $values
     * @return list<int>
     */
    public static function ints(iterable $values): array
    {
        $ints = [];
        foreach ($values as $value) {
            $ints[] = self::int($value);
        }

        return $ints;
    }

    /** @return array<string, mixed> of a JSON object; empty where it is none */
    public static function object(?string $json): array
    {
        $members = [];
        foreach ((array) json_decode((string) $json, true) as $name => $value) {
            $members[(string) $name] = $value;
        }

        return $members;
    }
}

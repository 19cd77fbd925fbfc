<?php

declare(strict_types=1);

namespace App\Database;

use DateTimeImmutable;
use DateTimeZone;

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
     * An instant as it is stored, without an object for each: days are read once.
     *
     * @param  string  $stored  UTC to the second, as `2026-11-29 18:05:00`
     */
    public static function instant(string $stored): int
    {
        /** @var array<string, int> $midnights by day */
        static $midnights = [];
        $day = substr($stored, 0, 10);
        $midnights[$day] ??= (new DateTimeImmutable($day, new DateTimeZone('UTC')))->getTimestamp();

        return $midnights[$day] + (int) substr($stored, 11, 2) * 3600 + (int) substr($stored, 14, 2) * 60 + (int) substr($stored, 17, 2);
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

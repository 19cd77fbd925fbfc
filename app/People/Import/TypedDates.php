<?php

declare(strict_types=1);

namespace App\People\Import;

/** Days, with or without a time, as spreadsheets of many countries write them. */
final class TypedDates
{
    public const DAY_FIRST = 'dmy';

    public const MONTH_FIRST = 'mdy';

    private const TIME = '(?:[T ,]+(\d{1,2}):(\d{2})(?::\d{2})?)?';

    private function __construct()
    {
    }

    /** Whether it could be two days: told apart by what somebody says of the file. */
    public static function isAmbiguous(string $text): bool
    {
        return self::wall($text, self::DAY_FIRST) !== self::wall($text, self::MONTH_FIRST);
    }

    /**
     * @param  ?string  $order  of what stands between slashes or hyphens; null: nobody has said, and what could be two days is none
     * @return ?string a wall-clock time of the school, `2026-03-09T00:00`; null: it is no date
     */
    public static function wall(string $text, ?string $order): ?string
    {
        if (preg_match('/^(\d{4})[-\/.](\d{1,2})[-\/.](\d{1,2})'.self::TIME.'$/D', $text, $found) === 1) {
            return self::told((int) $found[1], (int) $found[2], (int) $found[3], $found);
        }
        // With dots the day is first everywhere.
        if (preg_match('/^(\d{1,2})\. ?(\d{1,2})\. ?(\d{4})'.self::TIME.'$/D', $text, $found) === 1) {
            return self::told((int) $found[3], (int) $found[2], (int) $found[1], $found);
        }
        if (preg_match('/^(\d{1,2})[\/-](\d{1,2})[\/-](\d{4})'.self::TIME.'$/D', $text, $found) !== 1) {
            return null;
        }
        $day = self::told((int) $found[3], (int) $found[2], (int) $found[1], $found);
        $month = self::told((int) $found[3], (int) $found[1], (int) $found[2], $found);

        return match (true) {
            $order === self::DAY_FIRST => $day,
            $order === self::MONTH_FIRST => $month,
            default => $day === null || $day === $month ? $month : ($month === null ? $day : null),
        };
    }

    /** @param  array<int, string>  $found  the time at 4 and 5 */
    private static function told(int $year, int $month, int $day, array $found): ?string
    {
        [$hour, $minute] = [(int) ($found[4] ?? 0), (int) ($found[5] ?? 0)];

        return checkdate($month, $day, $year) && $hour < 24 && $minute < 60 ? sprintf('%04d-%02d-%02dT%02d:%02d', $year, $month, $day, $hour, $minute) : null;
    }
}

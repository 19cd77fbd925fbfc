<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/**
 * Whole calendar dates as day numbers, 1970-01-01 being 0, in the proleptic Gregorian calendar.
 * The formulas count in 400-year eras of 146,097 days with the year beginning in March, so that the
 * leap day comes last.
 */
final class CivilDate
{
    private function __construct()
    {
    }

    public static function toDayNumber(int $year, int $month, int $day): int
    {
        $y = $month <= 2 ? $year - 1 : $year;
        $era = intdiv($y >= 0 ? $y : $y - 399, 400);
        $yearOfEra = $y - $era * 400;
        $dayOfYear = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $day - 1;

        return $era * 146097 + $yearOfEra * 365 + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100) + $dayOfYear - 719468;
    }

    /** @return array{int, int, int} year, month, day */
    public static function ofDayNumber(int $dayNumber): array
    {
        $days = $dayNumber + 719468;
        $era = intdiv($days >= 0 ? $days : $days - 146096, 146097);
        $dayOfEra = $days - $era * 146097;
        $yearOfEra = intdiv($dayOfEra - intdiv($dayOfEra, 1460) + intdiv($dayOfEra, 36524) - intdiv($dayOfEra, 146096), 365);
        $dayOfYear = $dayOfEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $fromMarch = intdiv(5 * $dayOfYear + 2, 153);
        $month = $fromMarch + ($fromMarch < 10 ? 3 : -9);

        return [$yearOfEra + $era * 400 + ($month <= 2 ? 1 : 0), $month, $dayOfYear - intdiv(153 * $fromMarch + 2, 5) + 1];
    }

    /** Monday is 1, Sunday is 7. */
    public static function weekday(int $dayNumber): int
    {
        // 1970-01-01 was a Thursday.
        return (($dayNumber + 3) % 7 + 7) % 7 + 1;
    }
}

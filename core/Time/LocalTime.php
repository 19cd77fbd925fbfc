<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/** A wall-clock date and time without a zone, counted in seconds as if its clock never changed. */
final readonly class LocalTime
{
    private function __construct(public int $wallSeconds)
    {
    }

    /** @throws InvalidTime if it is not `YYYY-MM-DDTHH:MM`, or names a date or time that does not exist */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/D', $text, $m) !== 1) {
            throw InvalidTime::notALocalTime($text);
        }
        [$year, $month, $day, $hour, $minute] = array_map(intval(...), array_slice($m, 1));
        if (! checkdate($month, $day, $year) || $hour > 23 || $minute > 59) {
            throw InvalidTime::notALocalTime($text);
        }

        return new self(CivilDate::toDayNumber($year, $month, $day) * 86400 + $hour * 3600 + $minute * 60);
    }
}

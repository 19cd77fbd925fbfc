<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

/**
 * Reads and writes instants. Inside the core an instant is a whole number of seconds since
 * 1970-01-01T00:00:00Z, so that a decision compares integers only.
 */
final class Instant
{
    /** Later than every instant: "never opens", "never closes", "for good". */
    public const NEVER = PHP_INT_MAX;

    private const RFC3339 = '/^(\d{4})-(\d{2})-(\d{2})[Tt](\d{2}):(\d{2}):(\d{2})(?:\.\d+)?(?:[Zz]|([+-])(\d{2}):(\d{2}))$/D';

    private function __construct()
    {
    }

    /**
     * Reads an RFC 3339 date-time with its offset; a fraction of a second is dropped.
     *
     * @throws InvalidTime if it is anything else, a date that does not exist (30 February) or a leap second
     */
    public static function parse(string $text): int
    {
        if (preg_match(self::RFC3339, $text, $m) !== 1) {
            throw InvalidTime::notAnInstant($text);
        }
        [$year, $month, $day, $hour, $minute, $second] = array_map(intval(...), array_slice($m, 1, 6));
        if (! checkdate($month, $day, max(1, $year)) || $hour > 23 || $minute > 59 || $second > 59) {
            throw InvalidTime::notAnInstant($text);
        }
        $seconds = CivilDate::toDayNumber($year, $month, $day) * 86400 + $hour * 3600 + $minute * 60 + $second;
        [$sign, $hours, $minutes] = [$m[7] ?? '+', (int) ($m[8] ?? 0), (int) ($m[9] ?? 0)];
        if ($hours > 23 || $minutes > 59) {
            throw InvalidTime::notAnInstant($text);
        }
        $offset = $hours * 3600 + $minutes * 60;

        return $sign === '-' ? $seconds + $offset : $seconds - $offset;
    }

    /** In UTC, to the second: `2026-03-01T08:00:00Z`. */
    public static function format(int $instant): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $instant);
    }

    /** Null for {@see self::NEVER}. */
    public static function formatOrNull(int $instant): ?string
    {
        return $instant === self::NEVER ? null : self::format($instant);
    }
}

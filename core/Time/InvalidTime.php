<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

use SilentKeep\Core\Errors\CoreException;

final class InvalidTime extends \InvalidArgumentException implements CoreException
{
    public static function notAnInstant(string $text): self
    {
        return new self('Not an instant with date, time and offset such as 2026-03-01T08:00:00Z: '.self::quote($text));
    }

    public static function notALocalTime(string $text): self
    {
        return new self('Not a local date and time such as 2026-03-01T09:00: '.self::quote($text));
    }

    public static function notATimeOfDay(string $text): self
    {
        return new self('Not a time of day such as 09:00: '.self::quote($text));
    }

    public static function unknownZone(string $text): self
    {
        return new self('Not a time zone of the IANA database, such as Europe/Oslo: '.self::quote($text));
    }

    private static function quote(string $text): string
    {
        return (string) json_encode(mb_strimwidth(mb_scrub($text), 0, 60, '…'), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}

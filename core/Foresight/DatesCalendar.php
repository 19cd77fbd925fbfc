<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/** The dates of a pass as an iCalendar file (RFC 5545): an event at each opening and each closing of what is covered. */
final class DatesCalendar
{
    /** Octets a line may have before it is folded. */
    private const FOLD = 74; // and the space that begins what was folded

    private function __construct()
    {
    }

    /**
     * @param  list<ItemDates>  $dates
     * @param  int  $stamp  the instant at which the file counts as written
     */
    public static function write(Course $course, Offer $offer, array $dates, int $stamp): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Silent Keep//Dates for a pass//EN', 'CALSCALE:GREGORIAN', 'X-WR-CALNAME:'.self::text($course->title ?? $course->key)];
        foreach ($dates as $one) {
            if (! $one->covered) {
                continue;
            }
            $title = $one->item->title ?? $one->item->key;
            array_push($lines, ...self::event($course, $offer, $one, 'opens', $one->opens, $title.' opens', $stamp));
            if ($one->closes !== Instant::NEVER) {
                array_push($lines, ...self::event($course, $offer, $one, 'closes', $one->closes, $title.' closes', $stamp));
            }
        }
        $lines[] = 'END:VCALENDAR';

        return implode("\r\n", array_map(self::fold(...), $lines))."\r\n";
    }

    /** @return list<string> */
    private static function event(Course $course, Offer $offer, ItemDates $dates, string $what, int $at, string $summary, int $stamp): array
    {
        $uid = hash('xxh128', implode("\0", [$course->key, $offer->key, $dates->item->key, $what]));

        return [
            'BEGIN:VEVENT',
            "UID:{$uid}@silent-keep",
            'DTSTAMP:'.gmdate('Ymd\THis\Z', $stamp),
            'DTSTART:'.gmdate('Ymd\THis\Z', $at),
            'SUMMARY:'.self::text($summary),
            'TRANSP:TRANSPARENT',
            'END:VEVENT',
        ];
    }

    private static function text(string $text): string
    {
        return str_replace(['\\', ';', ',', "\r\n", "\n", "\r"], ['\\\\', '\\;', '\\,', '\\n', '\\n', '\\n'], $text);
    }

    /** Folds at an octet limit without cutting a character in two. */
    private static function fold(string $line): string
    {
        $folded = '';
        while (strlen($line) > self::FOLD) {
            $head = mb_strcut($line, 0, self::FOLD, 'UTF-8');
            $folded .= $head."\r\n ";
            $line = substr($line, strlen($head));
        }

        return $folded.$line;
    }
}

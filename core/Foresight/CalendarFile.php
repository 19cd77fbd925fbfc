<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

/** Writes instants with what happens at them as an iCalendar file (RFC 5545). */
final class CalendarFile
{
    /** Octets a line may have before it is folded. */
    private const FOLD = 74; // and the space that begins what was folded

    private function __construct()
    {
    }

    /**
     * @param  list<array{uid: string, at: int, summary: string}>  $events  a uid is the same for the same event in every file
     * @param  int  $stamp  the instant at which the file counts as written
     */
    public static function write(string $name, string $product, array $events, int $stamp): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', "PRODID:-//Silent Keep//{$product}//EN", 'CALSCALE:GREGORIAN', 'X-WR-CALNAME:'.self::text($name)];
        foreach ($events as $event) {
            array_push(
                $lines,
                'BEGIN:VEVENT',
                'UID:'.hash('xxh128', $event['uid']).'@silent-keep',
                'DTSTAMP:'.gmdate('Ymd\THis\Z', $stamp),
                'DTSTART:'.gmdate('Ymd\THis\Z', $event['at']),
                'SUMMARY:'.self::text($event['summary']),
                'TRANSP:TRANSPARENT',
                'END:VEVENT',
            );
        }
        $lines[] = 'END:VCALENDAR';

        return implode("\r\n", array_map(self::fold(...), $lines))."\r\n";
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

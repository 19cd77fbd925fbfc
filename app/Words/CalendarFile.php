<?php

declare(strict_types=1);

namespace App\Words;

use DateTimeImmutable;
use Sabre\VObject\Component\VCalendar;

/** Writes instants with what happens at them as an iCalendar file (RFC 5545). */
final class CalendarFile
{
    private function __construct()
    {
    }

    /**
     * @param  list<array{uid: string, at: int, summary: string}>  $events  a uid is the same for the same event in every file
     * @param  int  $stamp  the instant at which the file counts as written
     */
    public static function write(string $name, string $product, array $events, int $stamp): string
    {
        $calendar = new VCalendar(['VERSION' => '2.0', 'PRODID' => "-//Silent Keep//{$product}//EN", 'CALSCALE' => 'GREGORIAN', 'X-WR-CALNAME' => $name], false);
        foreach ($events as $event) {
            $calendar->add('VEVENT', [
                'UID' => hash('xxh128', $event['uid']).'@silent-keep',
                'DTSTAMP' => self::utc($stamp),
                'DTSTART' => self::utc($event['at']),
                'SUMMARY' => $event['summary'],
                'TRANSP' => 'TRANSPARENT',
            ]);
        }

        return $calendar->serialize();
    }

    private static function utc(int $instant): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$instant))->setTimezone(new \DateTimeZone('UTC'));
    }
}

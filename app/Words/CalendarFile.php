<?php

declare(strict_types=1);

namespace App\Words;

use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;

/** Writes instants with what happens at them as an iCalendar file (RFC 5545, RFC 7986). */
final class CalendarFile
{
    /** Minutes that an event takes: of one without an end programs invent an hour, or a day. */
    private const MINUTES = 15;

    /** How often it is worth asking again. */
    private const REFRESH = 'PT6H';

    private function __construct()
    {
    }

    /**
     * The same of the same, byte by byte: what asks again can be told that nothing has changed.
     *
     * @param  list<array{uid: string, at: int, summary: string, url?: string}>  $events  a uid is the same for the same event in every file
     * @param  int  $revised  instant since which nothing of it can have changed
     * @param  int  $sequence  grows whenever something of it can have changed
     * @param  ?DateTimeZone  $days  whole days of this zone in place of times; null: times
     */
    public static function write(string $name, string $product, array $events, int $revised, int $sequence = 0, ?DateTimeZone $days = null): string
    {
        $calendar = new VCalendar(['VERSION' => '2.0', 'PRODID' => "-//Silent Keep//{$product}//EN", 'CALSCALE' => 'GREGORIAN', 'NAME' => $name, 'X-WR-CALNAME' => $name], false);
        $calendar->add('REFRESH-INTERVAL', self::REFRESH, ['VALUE' => 'DURATION']);
        $calendar->add('X-PUBLISHED-TTL', self::REFRESH);
        foreach ($events as $event) {
            $calendar->add(self::event($calendar, $event, $revised, $sequence, $days));
        }
        if ($events === []) {
            self::bare($calendar);
        }

        return $calendar->serialize();
    }

    /** @param  array{uid: string, at: int, summary: string, url?: string}  $event */
    private static function event(VCalendar $calendar, array $event, int $revised, int $sequence, ?DateTimeZone $days): Component
    {
        $one = $calendar->createComponent('VEVENT', [
            'UID' => hash('xxh128', $event['uid']).'@silent-keep',
            'DTSTAMP' => self::utc($revised),
            'SEQUENCE' => $sequence,
            'SUMMARY' => $event['summary'],
            'TRANSP' => 'TRANSPARENT',
            ...(isset($event['url']) ? ['URL' => $event['url']] : []),
        ], false);
        if ($days === null) {
            $one->add('DTSTART', self::utc($event['at']));
            $one->add('DTEND', self::utc($event['at'] + self::MINUTES * 60));
        } else {
            $day = (new DateTimeImmutable('@'.$event['at']))->setTimezone($days);
            $one->add('DTSTART', $day->format('Ymd'), ['VALUE' => 'DATE']);
            $one->add('DTEND', $day->modify('+1 day')->format('Ymd'), ['VALUE' => 'DATE']);
        }

        return $one;
    }

    /** A calendar has to hold something (RFC 5545, 3.4): one without events says what zone its times would be in. */
    private static function bare(VCalendar $calendar): void
    {
        $zone = $calendar->createComponent('VTIMEZONE', ['TZID' => 'Etc/UTC'], false);
        $zone->add($calendar->createComponent('STANDARD', ['DTSTART' => '19700101T000000', 'TZOFFSETFROM' => '+0000', 'TZOFFSETTO' => '+0000', 'TZNAME' => 'UTC'], false));
        $calendar->add($zone);
    }

    private static function utc(int $instant): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$instant))->setTimezone(new DateTimeZone('UTC'));
    }
}

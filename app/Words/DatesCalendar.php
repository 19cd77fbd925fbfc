<?php

declare(strict_types=1);

namespace App\Words;

use SilentKeep\Core\Foresight\ItemDates;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Offer;

/** The dates of a pass as an iCalendar file (RFC 5545): an event at each opening and each closing of what is covered. */
final class DatesCalendar
{
    private function __construct()
    {
    }

    /**
     * @param  list<ItemDates>  $dates
     * @param  int  $stamp  the instant at which the file counts as written
     */
    public static function write(Course $course, Offer $offer, array $dates, int $stamp): string
    {
        $events = [];
        foreach ($dates as $one) {
            if (! $one->covered) {
                continue;
            }
            $title = $one->item->title ?? $one->item->key;
            $uid = static fn (string $what): string => implode("\0", [$course->key, $offer->key, $one->item->key, $what]);
            $events[] = ['uid' => $uid('opens'), 'at' => $one->opens, 'summary' => Say::text('wording.dates_calendar.title_opens', ['title' => $title])];
            if ($one->closes !== Instant::NEVER) {
                $events[] = ['uid' => $uid('closes'), 'at' => $one->closes, 'summary' => Say::text('wording.dates_calendar.title_closes', ['title' => $title])];
            }
        }

        return CalendarFile::write($course->title ?? $course->key, Say::text('wording.dates_calendar.dates_for_a_pass'), $events, $stamp);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Words\DatesCalendar;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use Tests\Core\Documents;
use Tests\TestCase;

final class DatesCalendarTest extends TestCase
{
    public function test_a_calendar_program_reads_what_is_covered(): void
    {
        [$decider, $offer] = Documents::deciderOf(PlanReader::fromDecoded(Documents::recorded('clinker.plan')), 'apprentice-pass');
        $from = Instant::parse('2026-03-02T13:00:00Z');
        $dates = (new DatesForPass($decider->prepared))->dates($offer, new Pass($offer->key, $from), []);
        $calendar = Reader::read($text = DatesCalendar::write($decider->course, $offer, $dates, $from));

        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], array_filter($calendar->validate(), static fn (array $problem): bool => $problem['level'] > 1));
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $events[(string) $event->SUMMARY] = $event->DTSTART->getDateTime()->format('Y-m-d H:i e');
        }
        self::assertSame('2026-03-09 08:00 UTC', $events['Tools and timber opens']);
        self::assertSame('2026-06-30 22:00 UTC', $events['Launch day closes']);
        self::assertArrayNotHasKey('Reading grain in oak opens', $events);
        self::assertArrayNotHasKey('The next boat opens', $events);
        foreach (explode("\r\n", $text) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
        }
    }

    public function test_titles_with_every_odd_character_come_back(): void
    {
        $title = 'Ø, "a"; b\\c: '.str_repeat('å', 80);
        [$decider, $offer] = Documents::deciderOf(Documents::plan([Documents::lesson('a', title: $title)]), 'o');
        $dates = (new DatesForPass($decider->prepared))->dates($offer, new Pass('o', 0), []);
        $calendar = Reader::read(DatesCalendar::write($decider->course, $offer, $dates, 0));

        self::assertSame($title.' opens', (string) $calendar->select('VEVENT')[0]->SUMMARY);
    }
}

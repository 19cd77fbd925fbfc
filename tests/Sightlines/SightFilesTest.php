<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

final class SightFilesTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<string, string> instants by what happens, and their uids by the same */
    private function events(string $query): array
    {
        $response = $this->get("/keep/courses/clinker/calendar.ics?{$query}")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $events = [];
        foreach (@Reader::read((string) $response->getContent())->select('VEVENT') as $event) {
            self::assertInstanceOf(VEvent::class, $event);
            [$summary, $start, $uid] = array_map(static fn (string $name): string => implode('', array_map(strval(...), $event->select($name))), ['SUMMARY', 'DTSTART', 'UID']);
            $events[$summary] = $start;
            $events["uid {$summary}"] = $uid;
        }

        return $events;
    }

    public function test_the_grid_as_csv_takes_no_title_for_a_formula(): void
    {
        foreach (['=1+1', '+1', '-1', '@SUM(A1)'] as $version => $title) {
            $this->post('/keep/courses/clinker/draft/outline', ['version' => $version, 'do' => 'rename', 'item' => 'l-planes', 'title' => $title])->assertSessionHasNoErrors();
            self::assertStringContainsString("'{$title}", $this->get('/keep/courses/clinker/sightlines.csv?v[]=visitor&see=draft')->streamedContent());
        }
    }

    public function test_a_calendar_has_the_openings_and_closings_of_a_viewer(): void
    {
        $events = $this->events('v[]=holder:3:apprentice-pass');
        self::assertSame('20260314T080000Z', $events['Tools and timber opens']);
        // With the pass all ends at once: one event.
        $closing = array_keys(array_filter($events, static fn (string $start): bool => $start === '20260903T110000Z'));
        self::assertCount(1, $closing);
        self::assertStringContainsString('Tools and timber', $closing[0]);
        self::assertStringEndsWith(' close', $closing[0]);
        self::assertArrayNotHasKey('Bonus: building the oars opens', $events);
        // What only finishing opens has no date.
        self::assertArrayNotHasKey('Choosing larch opens', $events);
        $this->get('/keep/courses/clinker/calendar.ics?v[]=holder:3:nothing')->assertNotFound();
        $this->get('/keep/courses/clinker/calendar.ics')->assertNotFound();
    }

    public function test_an_event_that_has_moved_is_the_same_event(): void
    {
        $before = $this->events('v[]=holder:3:apprentice-pass');
        $this->openAfter(0, 'm-tools', 9);
        $after = $this->events('v[]=holder:3:apprentice-pass');
        self::assertNotSame($before['Tools and timber opens'], $after['Tools and timber opens']);
        self::assertSame($before['uid Tools and timber opens'], $after['uid Tools and timber opens']);
    }

    public function test_the_grid_is_a_table_for_other_programs(): void
    {
        $this->outline(0, ['do' => 'rename', 'item' => 'l-rivets', 'title' => '=HYPERLINK("x"), "burrs"']);
        $response = $this->get('/keep/courses/clinker/sightlines.csv?v[]=visitor&v[]=holder:3:apprentice-pass')->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8');
        $rows = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim($response->streamedContent())));
        self::assertSame(['Row', 'Kind', 'Depth', 'a visitor', 'Apprentice pass, day 3'], $rows[0]);
        self::assertSame(['Tools and timber', 'module', '0', 'locked', 'opens later; open from 2026-03-14 09:00'], $rows[6]);
        self::assertCount(19, $rows);
        // No spreadsheet takes a title for a formula.
        self::assertSame("'=HYPERLINK(\"x\"), \"burrs\"", $rows[14][0]);
    }

    public function test_learners_get_neither(): void
    {
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker/calendar.ics?v[]=visitor')->assertNotFound();
        $this->get('/keep/courses/clinker/sightlines.csv')->assertNotFound();
    }
}

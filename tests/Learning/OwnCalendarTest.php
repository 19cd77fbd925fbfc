<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Pass;
use Illuminate\Support\Carbon;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** The feed that calendar programs follow, as they read it. */
final class OwnCalendarTest extends TestCase
{
    use EditsDrafts;

    private string $link;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('torvald'))->post('/calendar-link');
        $this->link = '/calendar/'.$this->person('torvald')->calendar_token.'.ics';
        $this->post('/sign-out');
    }

    private function calendar(string $query = ''): VCalendar
    {
        $calendar = Reader::read((string) $this->get($this->link.$query)->assertOk()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], array_map(static fn (mixed $fault): mixed => is_array($fault) ? $fault['message'] : '', $calendar->validate()));

        return $calendar;
    }

    /** @return array<string, array<string, string>> properties by summary */
    private function events(string $query = ''): array
    {
        $events = [];
        foreach ($this->calendar($query)->select('VEVENT') as $event) {
            $told = [];
            foreach ($event->children() as $property) {
                $told[$property->name] = (string) $property;
            }
            $events[$told['SUMMARY']] = $told;
        }

        return $events;
    }

    private function publish(int $days): void
    {
        $this->actingAs($this->person('hege'))->openAfter(0, 'm-tools', $days);
        $receipt = $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('receipt');
        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version, 'receipt' => $receipt])->assertSessionHas('flash.kind', 'done');
        $this->post('/sign-out');
    }

    public function test_an_event_says_when_it_is_over_and_where_to_go(): void
    {
        $opens = $this->events()['Clinker planking: Tools and timber opens'];
        self::assertSame(900, strtotime($opens['DTEND']) - strtotime($opens['DTSTART']));
        self::assertStringEndsWith('/courses/clinker/m-tools', $opens['URL']);
        $calendar = $this->calendar();
        self::assertSame(['PT6H', 'My courses'], [(string) $calendar->select('REFRESH-INTERVAL')[0], (string) $calendar->select('NAME')[0]]);
    }

    public function test_all_that_ends_with_a_pass_is_one_event(): void
    {
        $end = Pass::query()->where('person_id', $this->person('torvald')->id)->sole()->ends_at?->format('Ymd\THis\Z');
        $ending = array_filter($this->events(), static fn (array $event): bool => $event['DTSTART'] === $end);
        self::assertSame(['Clinker planking: your Apprentice pass ends'], array_keys($ending));
    }

    public function test_who_asks_again_is_told_that_nothing_has_changed(): void
    {
        $first = $this->get($this->link);
        $tag = (string) $first->headers->get('ETag');
        Carbon::setTestNow(Carbon::now()->addHour());
        self::assertSame($first->getContent(), $this->get($this->link)->getContent());
        $this->get($this->link, ['If-None-Match' => $tag])->assertStatus(304)->assertContent('');
        $this->publish(9);
        $this->get($this->link, ['If-None-Match' => $tag])->assertOk();
    }

    public function test_an_opening_that_moves_is_the_same_event_with_a_greater_number(): void
    {
        $before = $this->events()['Clinker planking: Tools and timber opens'];
        Carbon::setTestNow(Carbon::now()->addMinutes(5));
        $this->publish(9);
        $after = $this->events()['Clinker planking: Tools and timber opens'];
        self::assertSame($before['UID'], $after['UID']);
        self::assertNotSame($before['DTSTART'], $after['DTSTART']);
        self::assertGreaterThan((int) $before['SEQUENCE'], (int) $after['SEQUENCE']);
        self::assertGreaterThan($before['DTSTAMP'], $after['DTSTAMP']);
        // What is done to them moves it too.
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'extend', 'people' => [$this->person('torvald')->id], 'offer' => 'apprentice-pass', 'days' => 3]);
        $this->post('/sign-out');
        self::assertGreaterThan((int) $after['SEQUENCE'], (int) $this->events()['Clinker planking: Tools and timber opens']['SEQUENCE']);
    }

    public function test_whole_days_are_those_of_the_school(): void
    {
        // 23:30 there is the next day in the school's zone.
        Pass::query()->where('person_id', $this->person('torvald')->id)->update(['ends_at' => '2026-07-01 23:30:00']);
        $ends = $this->events('?days=1')['Clinker planking: your Apprentice pass ends'];
        self::assertSame(['20260702', '20260703'], [$ends['DTSTART'], $ends['DTEND']]);
    }

    public function test_a_feed_without_events_is_a_calendar_still(): void
    {
        Pass::query()->where('person_id', $this->person('torvald')->id)->update(['ends_at' => '2026-03-01 08:00:00']);
        $calendar = $this->calendar();
        self::assertSame([0, 1], [count($calendar->select('VEVENT')), count($calendar->select('VTIMEZONE'))]);
    }
}

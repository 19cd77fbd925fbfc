<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Drafts\RunAgain\CourseDates;
use App\Drafts\RunAgain\MovedDates;
use App\Drafts\RunAgain\ShiftDates;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentDate;
use App\Models\Holidays;
use App\Models\School;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** All dates of a course moved together. */
final class RunAgainTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** A course that names a date in every place in which there can be one. */
    private static function document(): CourseDocument
    {
        $json = (string) json_encode(['course' => [
            'key' => 'c', 'title' => 'C', 'state' => 'live', 'entry' => 'anyone', 'opens' => '2026-03-02T09:00', 'closes' => '2026-06-30T18:00', 'main_plan' => 'p',
            'plans' => ['p' => ['m' => ['opens' => ['rule' => 'after_start', 'days' => 7, 'time' => '09:00']], 'l' => ['opens' => ['rule' => 'on', 'at' => '2026-03-09T10:00'], 'closes' => ['rule' => 'on', 'at' => '2026-03-16T10:00']]], 'q' => ['l' => ['opens' => ['rule' => 'on', 'at' => '2026-03-29T02:30']]]],
            'items' => [['key' => 'm', 'kind' => 'module', 'title' => 'M', 'items' => [['key' => 'l', 'kind' => 'lesson', 'title' => 'L', 'only' => ['all' => [['from' => '2026-04-01T00:00'], ['not' => ['any' => [['until' => '2026-05-01T00:00'], ['label' => '2026-01-01T00:00']]]]]]]]]],
        ], 'offers' => [['key' => 'o', 'course' => 'c', 'lasts' => ['until' => '2026-07-01T00:00']], ['key' => 'f', 'course' => 'c', 'lasts' => ['days' => 10]]]]);

        return CourseDocument::fromJson($json);
    }

    public function test_every_date_is_found_wherever_it_stands(): void
    {
        self::assertSame([
            'season_opens 2026-03-02T09:00', 'opens l p 2026-03-09T10:00', 'closes l p 2026-03-16T10:00', 'opens l q 2026-03-29T02:30', 'only_from l 2026-04-01T00:00', 'only_until l 2026-05-01T00:00', 'season_closes 2026-06-30T18:00', 'lasts o 2026-07-01T00:00',
        ], array_map(static fn (DocumentDate $date): string => implode(' ', array_filter([$date->what, $date->item, $date->plan, $date->offer, $date->at])), CourseDates::of(self::document())->dates));
    }

    public function test_all_move_alike_and_nothing_else_does(): void
    {
        $document = self::document();
        (new ShiftDates(364, false))->applyTo($document);
        $moved = array_map(static fn (DocumentDate $date): string => $date->at, CourseDates::of($document)->dates);
        self::assertSame(['2027-03-01T09:00', '2027-03-08T10:00', '2027-03-15T10:00', '2027-03-28T02:30', '2027-03-31T00:00', '2027-04-30T00:00', '2027-06-29T18:00', '2027-06-30T00:00'], $moved);
        (new ShiftDates(-364, false))->applyTo($document);
        self::assertTrue($document->equals(self::document()));
    }

    /** @return array<string, array{string, bool, int}> */
    public static function days(): array
    {
        return [
            'the same day' => ['2026-03-02', true, 0],
            'a year on, a Tuesday: to the Monday before it' => ['2027-03-02', true, 364],
            'a year on, to the day' => ['2027-03-02', false, 365],
            'three days on, to the day that it was' => ['2026-03-05', true, 0],
            'four days on, to the next week' => ['2026-03-06', true, 7],
            'back' => ['2025-03-03', true, -364],
            'over a 29 February' => ['2028-02-29', false, 729],
        ];
    }

    #[DataProvider('days')]
    public function test_weekdays_stay_where_that_is_wanted(string $day, bool $keep, int $days): void
    {
        self::assertSame($days, CourseDates::of(self::document())->daysTo($day, $keep));
    }

    public function test_it_is_looked_at_before_it_is_kept(): void
    {
        $first = (string) CourseDates::of(CourseDocument::fromJson((string) $this->course()->liveRevision?->document))->firstDay();
        $this->get('/keep/courses/clinker/run-again')->assertOk()->assertInertia(fn ($page) => $page->where('first', $first)->where('isRetired', false)->where('waiting', 0)->where('runs', true));
        $told = $this->getJson('/keep/courses/clinker/run-again/dates?first=2027-06-20&weekdays=1')->assertOk()->json();
        self::assertIsArray($told);
        $moved = substr(MovedDates::shifted("{$first}T00:00", $told['days']), 0, 10);
        self::assertSame([0, (new \DateTimeImmutable($first))->format('D')], [$told['days'] % 7, (new \DateTimeImmutable($moved))->format('D')]);
        self::assertLessThanOrEqual(3 * 86400, abs(strtotime($moved) - strtotime('2027-06-20')));
        $words = static fn (string $day): string => (new \DateTimeImmutable($day))->format('D j M Y').', 10:00';
        self::assertSame(['what' => 'Launch day opens', 'plan' => 'weekly', 'before' => $words($first), 'after' => $words($moved), 'holiday' => false], $told['dates'][0]);
        self::assertSame($words($moved), $told['first']);
        self::assertNull($this->course()->draft);
        foreach (['', 'first=soon', 'first=2027-02-30', 'first[]=2027-01-01', 'first=0000-01-01'] as $query) {
            $this->getJson("/keep/courses/clinker/run-again/dates?{$query}")->assertUnprocessable();
        }
    }

    public function test_it_goes_to_the_draft_in_one_step_that_can_be_undone(): void
    {
        $this->post('/keep/courses/clinker/run-again', ['version' => 0, 'first' => '2027-06-20', 'weekdays' => false, 'as' => 'draft'])->assertRedirect('/keep/courses/clinker?lens=timeline')->assertSessionHas('flash.kind', 'done');
        $draft = $this->course()->fresh(['draft'])?->draft;
        self::assertSame('2027-06-20', CourseDates::of(CourseDocument::fromJson((string) $draft?->document))->firstDay());
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $draft?->version])->assertSessionHasNoErrors();
        self::assertNotSame('2027-06-20', CourseDates::of(CourseDocument::fromJson((string) $this->course()->fresh(['draft'])?->draft?->document))->firstDay());
        // Somebody else has published or moved on meanwhile.
        $this->post('/keep/courses/clinker/run-again', ['version' => 99, 'first' => '2028-06-20', 'as' => 'draft'])->assertSessionHas('flash.kind', 'refused');
    }

    public function test_a_retired_course_goes_live_again_with_it_or_stays(): void
    {
        $this->post('/keep/courses/petrol/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'draft', 'reopen' => true])->assertSessionHasNoErrors();
        self::assertSame('live', CourseDocument::fromJson((string) $this->course('petrol')->draft?->document)->read()->state());
    }

    public function test_a_course_without_a_date_says_so(): void
    {
        $this->post('/keep/courses/petrol/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'draft', 'reopen' => false])->assertSessionHasErrors(['first' => 'This course names no date: there is nothing to move.']);
        self::assertNull($this->course('petrol')->draft);
    }

    public function test_another_course_is_made_like_it_and_this_one_stays(): void
    {
        $this->post('/keep/courses/clinker/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'course', 'title' => 'Clinker planking 2027'])->assertRedirect('/keep/courses/clinker-planking-2027?lens=timeline');
        $made = Course::query()->with('draft')->where('key', 'clinker-planking-2027')->firstOrFail();
        self::assertSame('2027-06-20', CourseDates::of(CourseDocument::fromJson((string) $made->draft?->document))->firstDay());
        self::assertNull($this->course()->draft);
        $this->post('/keep/courses/petrol/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'course', 'title' => 'Petrol 2027'])->assertSessionHasErrors('first');
        self::assertSame(0, Course::query()->where('key', 'petrol-2027')->count(), 'Nothing half done.');
        $this->post('/keep/courses/clinker/run-again', ['first' => '2027-06-20', 'as' => 'course', 'title' => ''])->assertSessionHasErrors('title');
    }

    public function test_an_assistant_looks_and_moves_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $this->get('/keep/courses/clinker/run-again')->assertOk()->assertInertia(fn ($page) => $page->where('mayEdit', false));
        $this->post('/keep/courses/clinker/run-again', ['version' => 0, 'first' => '2027-06-20', 'as' => 'draft'])->assertForbidden();
        $this->put('/keep/courses/clinker/run-again/asked', ['takes' => false])->assertForbidden();
        $this->post('/keep/courses/clinker/run-again/letters')->assertForbidden();
    }

    /** @return array<string, array{list<string>, bool, array<string, string>}> */
    public static function holidays(): array
    {
        // A year on: the season from Mon 1 Mar, an opening on Mon 8 Mar, its closing on Mon 15 Mar, the next opening on Wed 31 Mar.
        $plain = ['2026-03-02T09:00' => '2027-03-01T09:00', '2026-03-09T10:00' => '2027-03-08T10:00', '2026-03-16T10:00' => '2027-03-15T10:00', '2026-04-01T00:00' => '2027-03-31T00:00', '2026-06-30T18:00' => '2027-06-29T18:00'];
        $later = static fn (int $days, string $from): array => array_map(static fn (string $at, string $now): string => $now < $from ? $at : MovedDates::shifted($at, $days), $plain, array_keys($plain));

        return [
            'none' => [[], true, $plain],
            'one on which nothing opens' => [['2027-03-10', '2027-03-15'], true, $plain],
            'a day: the day after' => [['2027-03-08'], false, array_combine(array_keys($plain), $later(1, '2026-03-09'))],
            'a day: the week after' => [['2027-03-08'], true, array_combine(array_keys($plain), $later(7, '2026-03-09'))],
            'a span, and a day in the week after it' => [['2027-03-06..2027-03-09', '2027-03-15'], true, array_combine(array_keys($plain), $later(14, '2026-03-09'))],
            'the first day' => [['2027-03-01..2027-03-02'], false, array_combine(array_keys($plain), $later(2, '2026-03-02'))],
            'what falls on one only once others have moved it' => [['2027-03-08', '2027-04-07'], true, [...array_combine(array_keys($plain), $later(7, '2026-03-09')), '2026-04-01T00:00' => '2027-04-14T00:00', '2026-06-30T18:00' => '2027-07-13T18:00']],
        ];
    }

    /**
     * @param  list<string>  $holidays
     * @param  array<string, string>  $then  by the present date
     */
    #[DataProvider('holidays')]
    public function test_what_would_open_on_a_holiday_opens_later_and_so_does_all_after_it(array $holidays, bool $byWeeks, array $then): void
    {
        $moved = MovedDates::of(CourseDates::of(self::document()), 364, new Holidays($holidays), $byWeeks);
        self::assertSame($then, array_combine(array_keys($then), array_map($moved->at(...), array_keys($then))));
        $document = self::document();
        (new ShiftDates(364, false, $holidays, $byWeeks))->applyTo($document);
        self::assertSame([], array_diff($then, array_map(static fn (DocumentDate $date): string => $date->at, CourseDates::of($document)->dates)));
    }

    public function test_the_order_of_dates_stays_whatever_the_holidays(): void
    {
        mt_srand(7);
        for ($try = 0; $try < 200; $try++) {
            $holidays = [];
            for ($n = mt_rand(0, 6); $n > 0; $n--) {
                $from = MovedDates::shifted('2027-02-20T00:00', mt_rand(0, 120));
                $holidays[] = substr($from, 0, 10).'..'.substr(MovedDates::shifted($from, mt_rand(0, 15)), 0, 10);
            }
            $byWeeks = mt_rand(0, 1) === 1;
            $dates = CourseDates::of(self::document());
            $moved = MovedDates::of($dates, 364, new Holidays($holidays), $byWeeks);
            $before = null;
            foreach ($dates->dates as $date) {
                $at = $moved->at($date->at);
                $apart = static fn (string $a, string $b): int => (strtotime("{$b}Z") - strtotime("{$a}Z")) / 60;
                self::assertTrue($before === null || $apart($before[1], $at) >= $apart($before[0], $date->at), implode(' ', $holidays));
                self::assertFalse(in_array($date->what, ['season_opens', 'opens', 'only_from'], true) && (new Holidays($holidays))->has(substr($at, 0, 10)), "{$at}: ".implode(' ', $holidays));
                self::assertTrue(! $byWeeks || $apart($date->at, $at) % (7 * 1440) === 0);
                $before = [$date->at, $at];
            }
        }
    }

    public function test_the_schools_holidays_are_skipped_where_that_is_wanted(): void
    {
        $this->put('/keep/school', ['name' => 'Alder & Tide', 'currency' => 'EUR', 'guests' => true, 'warnDays' => 3, 'graceDays' => 7, 'holidays' => " 2027-06-18 .. 2027-06-20\n\n2027-12-24"])->assertSessionHasNoErrors();
        self::assertSame(['2027-06-18..2027-06-20', '2027-12-24'], School::query()->sole()->holidays);
        $this->inAnotherProcess();
        $ask = fn (string $more): mixed => $this->getJson("/keep/courses/clinker/run-again/dates?first=2027-06-18&weekdays=1{$more}")->assertOk()->json();
        $with = $ask('&holidays=1');
        $without = $ask('');
        self::assertIsArray($with);
        self::assertIsArray($without);
        self::assertSame([7, 0], [$with['skipped'], $without['skipped']]);
        self::assertIsArray($with['dates']);
        self::assertIsArray($without['dates']);
        self::assertSame([true, false], [$without['dates'][0]['holiday'], $with['dates'][0]['holiday']]);
        $this->post('/keep/courses/clinker/run-again', ['version' => 0, 'first' => '2027-06-18', 'weekdays' => true, 'holidays' => true, 'as' => 'draft'])->assertSessionHasNoErrors();
        self::assertSame('2027-06-25', CourseDates::of(CourseDocument::fromJson((string) $this->course()->draft?->document))->firstDay());
    }

    public function test_what_is_no_holiday_is_refused_at_its_field(): void
    {
        foreach (['tomorrow', '2027-02-30', '2027-01-05..2027-01-01', '2027-01-01..2029-01-01', '24.12.2027', '2027-01-01..2027-01-02..2027-01-03'] as $line) {
            $this->put('/keep/school', ['name' => 'Alder & Tide', 'currency' => 'EUR', 'guests' => true, 'warnDays' => 3, 'graceDays' => 7, 'holidays' => "2027-12-24\n{$line}"])->assertSessionHasErrors('holidays');
        }
        self::assertSame([], School::query()->sole()->holidays);
    }
}

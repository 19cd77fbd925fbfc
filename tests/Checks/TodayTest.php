<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\Pass;
use App\Models\PeopleCount;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** What is on in the school, on Tuesday 10 March at 13:00 in Oslo. */
final class TodayTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<string, mixed> */
    private function today(string $query = ''): array
    {
        $this->inAnotherProcess();
        $props = $this->get("/keep/today{$query}")->assertOk()->inertiaProps();
        self::assertIsArray($props);

        return $props;
    }

    /** @return array<string, list<string>> of a course, by day: what, when and for how many */
    private function week(string $course, string $query = ''): array
    {
        $page = $this->today($query);
        self::assertFalse($page['counting'], 'It is counted in the queue, which tests do at once.');
        $days = [];
        foreach ((array) $page['courses'] as $row) {
            self::assertIsArray($row);
            foreach ($row['key'] === $course ? (array) $row['days'] : [] as $index => $entries) {
                foreach ((array) $entries as $entry) {
                    self::assertIsArray($entry);
                    $days[((array) $page['days'])[$index]['words']][] = "{$entry['title']} {$entry['time']} {$entry['people']}";
                }
            }
        }

        return $days;
    }

    public function test_the_week_is_counted_on_those_who_hold_a_pass(): void
    {
        $week = $this->week('clinker');
        self::assertSame(['Mon 9 Mar', 'Tue 10 Mar', 'Sun 15 Mar'], array_column(array_intersect_key((array) $this->today()['days'], [0 => 1, 1 => 1, 6 => 1]), 'words'));

        // Sunniva joined on Sunday the 8th and Torvald on Friday the 6th: a week later their tools lie there.
        self::assertContains('Tools and timber 09:00 1', $week['Fri 13 Mar'] ?? []);
        self::assertContains('Tools and timber 09:00 1', $week['Sun 15 Mar'] ?? []);

        // One more who joins as Torvald did, and they are two.
        $pass = Pass::query()->where('person_id', $this->person('torvald')->id)->sole()->replicate();
        $pass->forceFill(['person_id' => $this->person('jonas')->id])->save();
        PeopleCount::query()->delete();
        self::assertContains('Tools and timber 09:00 2', $this->week('clinker')['Fri 13 Mar'] ?? []);
    }

    public function test_what_was_counted_holds_for_an_hour_and_by_these_rules(): void
    {
        $this->today();
        $began = fn (): string => (string) DB::table('people_counts')->where('what', 'like', 'agenda%')->where('course_id', $this->course()->id)->value('began_at');
        $first = $began();
        Carbon::setTestNow(Carbon::now()->addMinutes(59));
        $this->today();
        self::assertSame($first, $began());
        Carbon::setTestNow(Carbon::now()->addMinutes(2));
        $this->today();
        self::assertNotSame($first, $began());
    }

    public function test_another_week_has_an_address_of_its_own(): void
    {
        $next = $this->today('?week=2026-03-18');
        self::assertSame(['2026-03-16', '2026-03-09', '2026-03-23', false], [((array) $next['days'])[0]['date'], $next['previous'], $next['following'], $next['isThisWeek']]);
        self::assertTrue($this->today('?week=nonsense')['isThisWeek']);
        self::assertTrue($this->today('?week=2026-02-31')['isThisWeek']);
    }

    public function test_passes_that_end_soon_are_told_one_by_one_or_counted(): void
    {
        $offer = (int) DB::table('offers')->where('key', 'apprentice-pass')->value('id');
        DB::table('passes')->update(['ends_at' => null]);
        $told = fn (): array => array_map(static fn (array $line): array => [implode('', array_column($line['what']['segments'], 'text')), $line['below'], $line['soon'], $line['href']], (array) $this->today()['ending']);
        self::assertSame([], $told());

        Pass::query()->where('person_id', $this->person('eira')->id)->update(['ends_at' => '2026-03-11 08:00:00']);
        $eira = ['Eira Holm, Apprentice pass, Clinker planking', 'Wed 11 Mar, 09:00, tomorrow', true, "/keep/people/{$this->person('eira')->id}?extend=apprentice-pass"];
        self::assertSame([$eira], $told());

        $others = DB::table('passes')->where('offer_id', $offer)->where('state', 'active')->where('starts_at', '<', '2026-03-09')->where('person_id', '!=', $this->person('eira')->id)->orderBy('id')->limit(5)->pluck('id')->all();
        DB::table('passes')->whereIn('id', $others)->update(['ends_at' => '2026-03-15 17:00:00']);
        self::assertSame([$eira, ['5 people, Apprentice pass, Clinker planking', 'Sun 15 Mar, 18:00', false, '/keep/people?holds=apprentice-pass&ends_in=6&sort=ends']], $told());
    }

    /** No more than four hundred passes were looked at, and so no more were counted. */
    public function test_however_many_end_at_once_all_are_counted_and_who_ends_besides_is_told(): void
    {
        DB::table('passes')->update(['ends_at' => null]);
        $pass = Pass::query()->whereRelation('offer', 'key', 'apprentice-pass')->firstOrFail();
        foreach (range(1, 5) as $hundred) {
            DB::table('people')->insert(array_map(static fn (int $n): array => ['name' => "Crew {$n}", 'email' => "crew{$hundred}-{$n}@elsewhere.test"], range(1, 100)));
        }
        $ends = ['2026-03-12 08:00:00', '2026-03-13 08:00:00'];
        foreach (DB::table('people')->where('email', 'like', 'crew%')->orderBy('id')->pluck('id')->chunk(100) as $some) {
            DB::table('passes')->insert($some->map(static fn (mixed $id): array => ['person_id' => $id, 'course_id' => $pass->course_id, 'offer_id' => $pass->offer_id, 'starts_at' => '2026-03-01 08:00:00', 'ends_at' => $ends[(int) $id % 2], 'source' => 'test'])->values()->all());
        }
        Pass::query()->where('person_id', $this->person('eira')->id)->update(['ends_at' => '2026-03-14 08:00:00']);
        $told = array_map(static fn (array $line): string => implode('', array_column($line['what']['segments'], 'text')), (array) $this->today()['ending']);
        self::assertSame(['250 people, Apprentice pass, Clinker planking', '250 people, Apprentice pass, Clinker planking', 'Eira Holm, Apprentice pass, Clinker planking'], $told);
    }

    public function test_findings_of_what_is_open_come_first(): void
    {
        $page = $this->today();
        self::assertSame(15, $page['found']);
        self::assertSame(['Clinker planking', 'Winter refit'], array_slice(array_column((array) $page['findings'], 'below'), 0, 2));
    }

    public function test_what_was_done_stands_there_and_is_taken_back(): void
    {
        $this->openAfter(0, 'm-tools', 3);
        $this->post('/keep/people/acts', ['do' => 'label', 'people' => [$this->person('eira')->id], 'label' => 'keen'])->assertSessionHas('flash.kind', 'done');
        $lines = (array) $this->today()['changed'];
        $told = array_map(static fn (array $line): string => implode('', array_column($line['what']['segments'], 'text')).' | '.$line['go'], $lines);
        self::assertContains('1 change waits in Clinker planking | Review', $told);
        $act = array_values(array_filter($lines, static fn (array $line): bool => $line['undoes'] !== null))[0];
        self::assertStringContainsString('keen', implode('', array_column($act['what']['segments'], 'text')));
        $this->post("/keep/people/acts/{$act['undoes']}/undo")->assertSessionHas('flash.kind', 'done');
        self::assertSame([], array_filter((array) $this->today()['changed'], static fn (array $line): bool => $line['undoes'] !== null));
    }

    public function test_it_takes_as_many_queries_however_many_people_there_are(): void
    {
        $queries = function (): int {
            $this->today();
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/today');

            return count(DB::getQueryLog());
        };
        $few = $queries();
        DB::table('passes')->where('state', 'active')->orderBy('id')->limit(10)->update(['ends_at' => '2026-03-12 08:00:00']);

        self::assertSame($few, $queries());
        self::assertCount(1, array_filter(DB::getQueryLog(), static fn (array $query): bool => str_contains($query['query'], 'people_counts')), 'However many courses there are.');
    }

    public function test_an_assistant_sees_the_week_and_a_learner_sees_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        self::assertFalse($this->today()['mayEdit']);
        $this->actingAs($this->person('eira'))->get('/keep/today')->assertNotFound();
    }
}

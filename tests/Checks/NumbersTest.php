<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\Completion;
use App\Models\Pass;
use App\Models\PeopleCount;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** A course in numbers, on Tuesday 10 March at 13:00 in Oslo. */
final class NumbersTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
        // With nobody in it but those of each test.
        Pass::query()->delete();
    }

    /** @return array<string, mixed> as it is once all are counted */
    private function numbers(string $course = 'clinker'): array
    {
        PeopleCount::query()->delete();
        $this->inAnotherProcess();
        // Tests count at once: what is told first is told before anybody is looked at.
        $this->get("/keep/courses/{$course}/numbers")->assertOk();
        $this->inAnotherProcess();
        $props = $this->get("/keep/courses/{$course}/numbers")->assertOk()->inertiaProps();
        self::assertIsArray($props);
        self::assertFalse($props['counting']);

        return $props;
    }

    private function give(string $offer, string $from, ?string $until = null, string $state = 'active', ?int $person = null): int
    {
        $person ??= PersonFactory::new()->createOne()->id;
        Pass::query()->create(['person_id' => $person, 'course_id' => $this->course()->id, 'offer_id' => DB::table('offers')->where('key', $offer)->value('id'), 'starts_at' => $from, 'ends_at' => $until, 'state' => $state]);

        return $person;
    }

    private function finish(int $person, string $at, string ...$items): void
    {
        foreach ($items as $item) {
            Completion::query()->create(['person_id' => $person, 'course_id' => $this->course()->id, 'item_key' => $item, 'completed_at' => $at]);
        }
    }

    public function test_where_learners_were_as_each_week_began_and_where_they_are(): void
    {
        $all = ['l-welcome', 'l-planes', 'l-timber', 'l-steam', 'l-garboard', 'l-rivets', 'l-launch'];
        $one = $this->give('apprentice-pass', '2026-02-02 08:00:00');
        $this->finish($one, '2026-02-10 08:00:00', 'l-welcome');
        $two = $this->give('apprentice-pass', '2026-02-20 08:00:00');
        $this->finish($two, '2026-03-10 11:59:59', ...$all);
        $this->give('apprentice-pass', '2026-02-02 08:00:00', '2026-02-20 08:00:00');
        $this->give('apprentice-pass', '2026-02-02 08:00:00', state: 'paused');
        $this->give('apprentice-pass', '2026-03-11 08:00:00');

        $page = $this->numbers();
        self::assertSame(['Before you pick up a plane', 'Tools and timber', 'Hanging planks', 'Out of the door', 'All done'], array_column((array) $page['places'], 'title'));
        $where = array_column((array) $page['where'], 'people', 'when');
        self::assertCount(14, $where);
        self::assertSame([0, 0, 0, 0, 0], $where['2 Feb'], 'That Monday begins before they do.');
        self::assertSame([2, 0, 0, 0, 0], $where['9 Feb']);
        self::assertSame([1, 1, 0, 0, 0], $where['16 Feb'], 'One of them has gone on.');
        self::assertSame([1, 1, 0, 0, 0], $where['23 Feb'], 'One has left, and one has come.');
        self::assertSame([1, 1, 0, 0, 0], $where['9 Mar']);
        self::assertSame([0, 1, 0, 0, 1], $where['now']);
        self::assertSame(3, $page['of'], 'Also whose pass has ended; not those who come, or are paused.');
    }

    public function test_what_opens_is_what_the_agenda_says(): void
    {
        // A week after joining Tools opens; Launch day on 23 December is beyond these weeks.
        $this->give('apprentice-pass', '2026-03-08 08:00:00');
        $this->give('apprentice-pass', '2026-03-10 08:00:00');
        $opens = array_column((array) $this->numbers()['opens'], null, 'when');
        self::assertCount(12, $opens);
        self::assertSame('9 Mar', array_key_first($opens));
        self::assertSame(['when' => '9 Mar', 'people' => 1, 'openings' => 1], $opens['9 Mar']);
        self::assertSame(['when' => '16 Mar', 'people' => 1, 'openings' => 1], $opens['16 Mar']);
        self::assertSame(['when' => '23 Mar', 'people' => 0, 'openings' => 0], $opens['23 Mar']);
        self::assertSame('25 May', array_key_last($opens));
    }

    public function test_trials_begun_ended_and_taken_up(): void
    {
        // Ten days each: one who takes it up, twice; one who does not; one who had the course before; one who gave it back.
        $one = $this->give('yard-trial', '2026-02-03 08:00:00', '2026-02-13 08:00:00');
        $this->give('apprentice-pass', '2026-02-12 08:00:00', person: $one);
        $this->give('journeyman-pass', '2026-02-25 08:00:00', person: $one);
        $this->give('yard-trial', '2026-03-02 08:00:00', '2026-03-12 08:00:00');
        $three = $this->give('apprentice-pass', '2026-01-02 08:00:00');
        $this->give('yard-trial', '2026-02-04 08:00:00', '2026-02-14 08:00:00', person: $three);
        $four = $this->give('yard-trial', '2026-01-05 08:00:00', '2026-01-15 08:00:00');
        $this->give('apprentice-pass', '2026-01-14 08:00:00', state: 'revoked', person: $four);
        // Before these weeks.
        $this->give('yard-trial', '2025-11-05 08:00:00', '2025-11-15 08:00:00');

        $rows = array_filter(array_map(static fn (mixed $row): string => is_array($row) ? "{$row['begun']} {$row['ended']} {$row['taken']}" : '', array_column((array) $this->numbers()['trials'], null, 'when')), static fn (string $row): bool => $row !== '0 0 0');
        self::assertSame(['5 Jan' => '1 0 0', '12 Jan' => '0 1 0', '2 Feb' => '2 0 0', '9 Feb' => '0 2 1', '2 Mar' => '1 0 0'], $rows);
        self::assertNull($this->numbers('steam-frames')['trials']);
    }

    public function test_what_was_counted_holds_for_an_hour_and_by_these_rules(): void
    {
        $this->give('apprentice-pass', '2026-03-08 08:00:00');
        $this->numbers();
        $began = fn (): string => (string) DB::table('people_counts')->where('what', 'like', 'numbers%')->value('began_at');
        $first = $began();
        Carbon::setTestNow(Carbon::now()->addMinutes(59));
        $this->get('/keep/courses/clinker/numbers')->assertOk();
        self::assertSame($first, $began());
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        $this->inAnotherProcess();
        $this->get('/keep/courses/clinker/numbers')->assertOk();
        self::assertNotSame($first, $began());
    }

    public function test_it_takes_as_many_queries_for_many_people_as_for_few(): void
    {
        $queries = function (): int {
            $this->numbers();
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get('/keep/courses/clinker/numbers')->assertOk();

            return count(DB::getQueryLog());
        };
        $this->give('yard-trial', '2026-03-08 08:00:00');
        $few = $queries();
        foreach (range(1, 20) as $n) {
            $this->give($n % 2 === 0 ? 'yard-trial' : 'apprentice-pass', '2026-03-08 08:00:00');
        }
        self::assertSame($few, $queries());
    }

    public function test_a_course_that_is_not_live_says_so(): void
    {
        $this->post('/keep/courses', ['title' => 'Caulking'])->assertRedirect();
        $this->inAnotherProcess();
        $props = (array) $this->get('/keep/courses/caulking/numbers')->assertOk()->inertiaProps();
        self::assertSame([false, [], []], [$props['live'], $props['where'], $props['opens']]);
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker/numbers')->assertNotFound();
    }
}

<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Access\ViewerRows;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant as CoreGrant;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;
use Tests\TestCase;

/** Viewers come from few queries for many: with all that is theirs, and nothing of anybody else. */
final class ViewerRowsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_they_are_what_the_rows_of_each_say(): void
    {
        $courses = Value::ints(Course::query()->pluck('id'));
        self::assertGreaterThan(3, count($courses));
        $people = Person::query()->orderBy('id')->get();
        foreach ([$courses, [$this->course('clinker')->id], array_slice($courses, 0, 2)] as $of) {
            $found = iterator_to_array((new ViewerRows)->each(array_fill_keys($people->modelKeys(), false), $of));
            self::assertSame($people->modelKeys(), array_keys($found));
            foreach ($people as $person) {
                foreach ($of as $course) {
                    self::assertEquals(self::told($person, $course), $found[$person->id][$course], "{$person->name} in {$course} of ".count($of));
                }
            }
        }
    }

    public function test_passes_come_as_they_were_made_whatever_they_are_of_and_what_is_done_in_two_courses_is_told_apart(): void
    {
        [$clinker, $steam] = [$this->course('clinker'), $this->course('steam-frames')];
        $offers = array_reverse(Value::ints(Offer::query()->where('course_id', $clinker->id)->orderBy('id')->pluck('id')));
        self::assertGreaterThan(1, count($offers));
        $person = $this->person('jonas');
        DB::table('passes')->where('person_id', $person->id)->delete();
        foreach ($offers as $nth => $offer) {
            DB::table('passes')->insert(['person_id' => $person->id, 'course_id' => $clinker->id, 'offer_id' => $offer, 'starts_at' => gmdate('Y-m-d H:i:s', 1_700_000_000 + $nth), 'source' => 'test']);
        }
        DB::table('completions')->where('person_id', $person->id)->delete();
        foreach ([[$clinker, 'l-planes'], [$steam, 'l-log'], [$clinker, 'l-welcome']] as $nth => [$course, $item]) {
            DB::table('completions')->insert(['person_id' => $person->id, 'course_id' => $course->id, 'item_key' => $item, 'completed_at' => gmdate('Y-m-d H:i:s', 1_700_000_000 + $nth)]);
        }
        foreach ([[$clinker->id, $steam->id], Value::ints(Course::query()->pluck('id'))] as $courses) {
            $viewers = iterator_to_array((new ViewerRows)->each([$person->id => false], $courses))[$person->id];
            self::assertSame(array_map(static fn (int $nth): int => 1_700_000_000 + $nth, array_keys($offers)), array_column($viewers[$clinker->id]->passes, 'from'));
            self::assertEquals([['l-planes' => 1_700_000_000, 'l-welcome' => 1_700_000_002], ['l-log' => 1_700_000_001]], [$viewers[$clinker->id]->done, $viewers[$steam->id]->done]);
        }
    }

    public function test_of_more_than_a_thousand_nobody_is_left_out_or_mixed_up(): void
    {
        $clinker = $this->course('clinker');
        $offer = Pass::query()->where('course_id', $clinker->id)->firstOrFail()->offer_id;
        $first = (int) Person::query()->max('id') + 1;
        foreach (array_chunk(range($first, $first + 2200), 200) as $ids) {
            DB::table('people')->insert(array_map(static fn (int $id): array => ['id' => $id, 'name' => "Crew {$id}", 'email' => "crew{$id}@elsewhere.test"], $ids));
            DB::table('passes')->insert(array_map(static fn (int $id): array => ['person_id' => $id, 'course_id' => $clinker->id, 'offer_id' => $offer, 'starts_at' => gmdate('Y-m-d H:i:s', 1_700_000_000 + $id), 'source' => 'test'], $ids));
            DB::table('completions')->insert(array_map(static fn (int $id): array => ['person_id' => $id, 'course_id' => $clinker->id, 'item_key' => "item-{$id}", 'completed_at' => gmdate('Y-m-d H:i:s', 1_700_100_000 + $id)], $ids));
        }
        DB::enableQueryLog();
        $seen = [];
        // They are asked for in no order.
        foreach ((new ViewerRows)->each(array_fill_keys(array_reverse(range($first, $first + 2200)), false), [$clinker->id]) as $id => [$clinker->id => $viewer]) {
            $seen[] = $id;
            self::assertSame([1_700_000_000 + $id, ["item-{$id}" => 1_700_100_000 + $id]], [$viewer->passes[0]->from, $viewer->done]);
        }
        self::assertSame(range($first, $first + 2200), $seen);
        self::assertCount(15, DB::getQueryLog(), 'five for each thousand');
    }

    public function test_a_label_comes_with_the_pass_of_another_course_and_not_with_one_of_this(): void
    {
        $pass = Pass::query()->where('course_id', $this->course('clinker')->id)->where('state', 'active')->firstOrFail();
        DB::table('offers')->where('id', $pass->offer_id)->update(['labels' => '["caulker"]']);
        [$here, $elsewhere] = [$pass->course_id, Course::query()->whereKeyNot($pass->course_id)->firstOrFail()->id];
        $labels = static fn (Viewer $viewer): array => array_map(static fn (TimedLabel $label): string => $label->label, $viewer->timedLabels);
        foreach ([[$here], [$elsewhere], [$here, $elsewhere], Course::query()->pluck('id')->all()] as $courses) {
            $viewers = iterator_to_array((new ViewerRows)->each([$pass->person_id => false], $courses))[$pass->person_id];
            foreach ($viewers as $course => $viewer) {
                self::assertSame($course !== $here, in_array('caulker', $labels($viewer), true), "{$course} of ".implode(', ', $courses));
            }
        }
        $pass->update(['state' => 'revoked']);
        self::assertNotContains('caulker', $labels(iterator_to_array((new ViewerRows)->each([$pass->person_id => false], [$elsewhere]))[$pass->person_id][$elsewhere]));
    }

    public function test_of_nearly_all_between_two_people_the_others_are_left_out(): void
    {
        $clinker = $this->course('clinker');
        $offer = Pass::query()->where('course_id', $clinker->id)->firstOrFail()->offer_id;
        $first = (int) Person::query()->max('id') + 1;
        $ids = range($first, $first + 149);
        DB::table('people')->insert(array_map(static fn (int $id): array => ['id' => $id, 'name' => "Crew {$id}", 'email' => "crew{$id}@elsewhere.test"], $ids));
        DB::table('labels')->insert(array_map(static fn (int $id): array => ['person_id' => $id, 'label' => "of-{$id}"], $ids));
        foreach ([2, 1] as $nth) {
            DB::table('passes')->insert(array_map(static fn (int $id): array => ['id' => 10 * $id + $nth, 'person_id' => $id, 'course_id' => $clinker->id, 'offer_id' => $offer, 'starts_at' => gmdate('Y-m-d H:i:s', 1_700_000_000 + 10 * $id + $nth), 'source' => 'test'], $ids));
        }
        $asked = array_values(array_filter($ids, static fn (int $id): bool => $id % 7 !== 0));
        $found = iterator_to_array((new ViewerRows)->each(array_fill_keys($asked, false), [$clinker->id]));
        self::assertSame($asked, array_keys($found));
        foreach ($found as $id => [$clinker->id => $viewer]) {
            self::assertSame([["of-{$id}"], [1_700_000_001 + 10 * $id, 1_700_000_002 + 10 * $id]], [$viewer->labels, array_column($viewer->passes, 'from')], 'passes as they were made');
        }
    }

    public function test_rows_of_one_course_are_found_side_by_side_and_of_many_courses_by_person(): void
    {
        if (DB::getDriverName() !== 'sqlite') {
            self::markTestSkipped('Only SQLite says so in these words.');
        }
        $courses = Value::ints(Course::query()->pluck('id'));
        self::assertStringContainsString('COVERING INDEX completions_of_course_index (course_id=? AND person_id=?)', self::planned('completions', [$courses[0]]));
        self::assertStringContainsString('completions_person_id_course_id_item_key_unique (person_id=?)', self::planned('completions', $courses));
        self::assertStringContainsString('(person_id=?)', self::planned('passes', $courses));
        self::assertMatchesRegularExpression('/passes USING .*(course_id=\? AND person_id=\?|person_id=\? AND course_id=\?)/', self::planned('passes', [$courses[0]]));
    }

    /** @param  list<int>  $courses */
    private static function planned(string $table, array $courses): string
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        iterator_to_array((new ViewerRows)->each([1 => false, 2 => false, 3 => false], $courses));
        $asked = array_values(array_filter(DB::getRawQueryLog(), static fn (array $one): bool => str_contains($one['raw_query'], "from \"{$table}\"")));
        DB::disableQueryLog();

        return implode("\n", array_column(DB::select("explain query plan {$asked[0]['raw_query']}"), 'detail'));
    }

    /** As it would be read row by row. */
    private static function told(Person $person, int $course): Viewer
    {
        $end = static fn (?\DateTimeImmutable $at): int => $at?->getTimestamp() ?? Instant::NEVER;
        $lasting = $timed = $passes = $grants = $done = [];
        foreach (Label::query()->where('person_id', $person->id)->orderBy('id')->get() as $label) {
            if ($label->starts_at === null && $label->ends_at === null) {
                $lasting[] = $label->label;
            } else {
                $timed[] = new TimedLabel($label->label, $label->starts_at?->getTimestamp() ?? 0, $end($label->ends_at));
            }
        }
        foreach (Pass::query()->with('offer')->where('person_id', $person->id)->orderBy('id')->get() as $pass) {
            if ($pass->course_id === $course) {
                $passes[] = Viewers::pass($pass);
            } elseif ($pass->state === 'active') {
                array_push($timed, ...array_map(static fn (string $label): TimedLabel => new TimedLabel($label, $pass->starts_at->getTimestamp(), $end($pass->ends_at)), $pass->offer->labels));
            }
        }
        foreach (Grant::query()->where('person_id', $person->id)->where('course_id', $course)->orderBy('id')->get() as $grant) {
            $grants[] = new CoreGrant($grant->item_key, $grant->starts_at->getTimestamp(), $end($grant->ends_at));
        }
        foreach (Completion::query()->where('person_id', $person->id)->where('course_id', $course)->get() as $completion) {
            $done[$completion->item_key] = $completion->completed_at->getTimestamp();
        }

        return new Viewer(signedIn: true, labels: $lasting, passes: $passes, grants: $grants, done: $done, timedLabels: $timed);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Access\Viewers;
use App\Database\Value;
use App\Learning\LearnerViews;
use App\Learning\Progress\HowFar;
use App\Models\Completion;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** How far people have come is the same for few, for many and on their own pages, and is counted anew as soon as it changes. */
final class HowFarTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_a_page_of_people_a_file_of_all_and_their_own_pages_say_the_same(): void
    {
        // Somebody who has finished something in two of them.
        [$eira, $frames] = [$this->person('eira')->id, $this->course('steam-frames')->id];
        DB::table('passes')->insert(['person_id' => $eira, 'course_id' => $frames, 'offer_id' => Pass::query()->where('course_id', $frames)->firstOrFail()->offer_id, 'starts_at' => '2026-01-01 09:00:00', 'source' => 'test']);
        DB::table('completions')->insert(['person_id' => $eira, 'course_id' => $frames, 'item_key' => Completion::query()->where('course_id', $frames)->firstOrFail()->item_key, 'completed_at' => '2026-02-01 09:00:00']);
        $people = Person::query()->orderBy('id')->get();
        [$courses, $own] = [$this->courses(), $this->ofTheirOwnPages()];
        self::assertGreaterThan(5, count($own));
        self::assertSame($own, $this->of($people, $courses));
        // So many that they are gone through course by course.
        Person::query()->insert(array_map(static fn (int $n): array => ['name' => "Crew {$n}", 'email' => "crew{$n}@elsewhere.test"], range(1, 250)));
        self::assertSame($own, $this->of(Person::query()->orderBy('id')->get(), $courses));
    }

    public function test_what_is_kept_is_counted_anew_when_something_is_finished_and_when_time_opens_something(): void
    {
        $eira = $this->person('eira');
        $before = $this->ofAll()[$eira->id];
        self::assertSame($before, $this->ofAll()[$eira->id]);
        $item = Completion::query()->where('person_id', $eira->id)->firstOrFail();
        $item->delete();
        self::assertSame([$before[0] - 1, $before[1]], $this->ofAll()[$eira->id]);
        foreach (['2026-03-24T12:00:00Z', '2026-06-01T12:00:00Z', '2027-06-01T12:00:00Z'] as $later) {
            Carbon::setTestNow($later);
            self::assertSame($this->ofTheirOwnPages(), $this->ofAll(), $later);
        }
        Carbon::setTestNow('2026-03-10T12:00:00Z');
        self::assertSame($this->ofTheirOwnPages(), $this->ofAll(), 'and back');
    }

    public function test_whoever_shares_a_place_is_told_apart(): void
    {
        $eira = $this->person('eira');
        DB::table('people')->insert(['id' => $eira->id + 4096, 'name' => 'Another', 'email' => 'another@elsewhere.test']);
        $pass = Pass::query()->where('person_id', $eira->id)->firstOrFail();
        DB::table('passes')->insert(['person_id' => $eira->id + 4096, 'course_id' => $pass->course_id, 'offer_id' => $pass->offer_id, 'starts_at' => '2026-03-01 09:00:00', 'source' => 'test']);
        for ($n = 0; $n < 2; $n++) {
            self::assertSame($this->ofTheirOwnPages(), $this->ofAll());
        }
    }

    /** @return array<int, array{int, int}> */
    private function ofAll(): array
    {
        return $this->of(Person::query()->orderBy('id')->get(), $this->courses());
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  array<int, list<int>>  $courses
     * @return array<int, array{int, int}>
     */
    private function of(Collection $people, array $courses): array
    {
        $this->app->forgetScopedInstances();
        $sums = app(HowFar::class)->of($people->toBase(), $courses);
        ksort($sums);

        return $sums;
    }

    /** @return array<int, list<int>> ids of the courses of which they hold passes, by person */
    private function courses(): array
    {
        return Pass::query()->get()->groupBy('person_id')->map(static fn (Collection $passes): array => array_values(array_unique(Value::ints($passes->pluck('course_id')))))->all();
    }

    /** @return array<int, array{int, int}> */
    private function ofTheirOwnPages(): array
    {
        $this->app->forgetScopedInstances();
        $sums = [];
        foreach ($this->courses() as $person => $courses) {
            $sum = [0, 0];
            foreach ($courses as $id) {
                $course = Course::query()->findOrFail($id);
                [$finished, $lessons] = app(LearnerViews::class)->published($course, app(Viewers::class)->of(Person::query()->findOrFail($person), $course))?->progress() ?? [0, 0];
                $sum = [$sum[0] + $finished, $sum[1] + $lessons];
            }
            if ($sum[1] > 0) {
                $sums[(int) $person] = $sum;
            }
        }
        ksort($sums);

        return $sums;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Checks;

use App\Models\Course;
use App\Models\Offer;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Where there are many courses, the week tells of twenty at a time, and of each day of a course what touches most people. */
final class ManyCoursesTodayTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_courses_that_people_hold_are_on_one_page_each(): void
    {
        $revision = $this->course()->live_revision_id;
        $offer = Offer::query()->where('course_id', $this->course()->id)->firstOrFail()->id;
        foreach (range(1, 25) as $number) {
            $course = Course::query()->create(['key' => "more-{$number}", 'live_revision_id' => $revision, 'hidden' => false, 'about' => '', 'subject' => '']);
            DB::table('passes')->insert(['person_id' => $this->person('eira')->id, 'course_id' => $course->id, 'offer_id' => $offer, 'starts_at' => '2026-03-01 09:00:00', 'state' => 'active', 'source' => 'test']);
        }
        $this->actingAs($this->person('hege'));
        $seen = [];
        foreach ([1, 2] as $page) {
            $this->get("/keep/today?page={$page}")->assertOk()->assertInertia(function (Page $told) use (&$seen, $page): Page {
                $seen = [...$seen, ...array_column($told->toArray()['props']['courses'], 'key')];

                return $told->where('page', $page)->where('pages', 2);
            });
        }
        self::assertSame($seen, array_values(array_unique($seen)));
        self::assertContains('more-25', $seen);
        $this->get('/keep/today?page=99')->assertInertia(static fn (Page $told): Page => $told->where('page', 2));
    }

    public function test_of_a_day_on_which_much_happens_the_most_is_told_and_the_rest_counted(): void
    {
        $clinker = $this->course('clinker');
        $this->actingAs($this->person('hege'))->get('/keep/today')->assertOk();
        $told = [];
        foreach (range(1, 9) as $number) {
            $told["2026-03-10|opens|l-{$number}"] = [$number, 1_773_147_600 + $number, 1_773_147_600 + $number];
        }
        DB::table('people_counts')->where('course_id', $clinker->id)->where('what', 'like', '%2026-03-09%')->update(['result' => json_encode($told)]);
        $this->inAnotherProcess();

        $this->get('/keep/today')->assertInertia(static function (Page $page): Page {
            foreach ($page->toArray()['props']['courses'] as $course) {
                if ($course['key'] === 'clinker') {
                    self::assertSame([4, 5, 6, 7, 8, 9], array_column($course['days'][1], 'people'));
                    self::assertSame([0, 3, 0, 0, 0, 0, 0], $course['more']);

                    return $page;
                }
            }
            self::fail('Nothing is told of the course.');
        });
    }
}

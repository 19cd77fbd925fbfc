<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Completion;
use App\Models\Medium;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Factories\CompletionFactory;
use Tests\Factories\QuizTryFactory;
use Tests\Factories\WatchRecordFactory;
use Tests\TestCase;

/** What a learner means who says that they have done it, on their page. */
final class UnderWayTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @param  list<string>  $lines */
    private function assertBegun(array $lines): void
    {
        $this->get("/keep/people/{$this->person('ragna')->id}")->assertOk()->assertInertia(fn (Page $page) => $page->where('progress.0.course', 'clinker')->where('progress.0.begun', $lines));
    }

    public function test_what_was_watched_in_part_is_told_until_it_is_finished(): void
    {
        $this->assertBegun([]);
        $video = Medium::query()->where('item_key', 'l-steam')->firstOrFail();
        WatchRecordFactory::new()->of($this->person('ragna'))->watching($video)->createOne(['played' => '0[.]7', 'spare' => 3.0, 'heard_at' => Carbon::now()]);
        $this->assertBegun(['The steam box: 43 % watched, last Tue 10 Mar, 13:00']);
        CompletionFactory::new()->of($this->person('ragna'))->createOne(['course_id' => $video->course_id, 'item_key' => 'l-steam']);
        $this->assertBegun([]);
    }

    public function test_tries_of_a_quiz_are_told_with_the_best(): void
    {
        Completion::query()->where('item_key', 'l-timber')->delete();
        foreach ([1 / 3, 2 / 3, 0.0] as $index => $score) {
            QuizTryFactory::new()->of($this->person('ragna'))->at($this->course(), 'l-timber')->createOne(['score' => $score, 'tried_at' => Carbon::now()->subMinutes(30 - 10 * $index)]);
        }
        $this->assertBegun(['Choosing larch: 66 % right at best in 3 tries, last Tue 10 Mar, 12:50']);
    }

    public function test_a_course_without_a_pass_is_told_of_where_something_was_begun(): void
    {
        QuizTryFactory::new()->of($this->person('jonas'))->at($this->course(), 'l-timber')->createOne(['score' => 0.0]);
        $this->get("/keep/people/{$this->person('jonas')->id}")->assertInertia(fn (Page $page) => $page->has('progress', 1)->where('progress.0.begun', ['Choosing larch: 0 % right at best in one try, last Tue 10 Mar, 13:00']));
    }
}

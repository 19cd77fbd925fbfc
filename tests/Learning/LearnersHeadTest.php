<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\CourseDocument;
use App\Models\Revision;
use Inertia\Testing\AssertableInertia as Page;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** What stands above a course for its learner: their passes first, then what becomes of the course, then what is for sale. */
final class LearnersHeadTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    private function reads(string $name, string $course = 'clinker'): Page
    {
        $page = null;
        $this->actingAs($this->person($name))->get("/courses/{$course}")->assertOk()->assertInertia(function (Page $found) use (&$page): void {
            $page = $found;
        });

        return $page ?? self::fail('no page');
    }

    /** @param  \Closure(CourseDocument): void  $change */
    private function rules(\Closure $change, string $course = 'clinker'): void
    {
        $revision = Revision::query()->findOrFail($this->course($course)->live_revision_id);
        $document = CourseDocument::fromJson($revision->document);
        $change($document);
        Revision::query()->whereKey($revision->id)->update(['document' => $document->toJson()]);
        $this->inAnotherProcess();
        $this->nothingIsKept();
    }

    public function test_of_several_passes_the_one_that_opens_most_comes_first_each_with_its_days(): void
    {
        $this->act('give', ['sunniva'], ['offer' => 'tools-only']);
        $this->act('give', ['sunniva'], ['offer' => 'yard-trial']);
        $this->reads('sunniva')->where('course.pass', 'Yard trial, to Fri 20 Mar, 13:00')->where('course.left', '10 days left')
            ->where('course.otherPasses', [['words' => 'Apprentice pass, to Fri 4 Sep, 13:00', 'left' => '178 days left'], ['words' => 'Tools only, for good', 'left' => null]]);
    }

    public function test_what_became_of_a_pass_is_said_before_anything_is_sold(): void
    {
        $this->reads('liv')->where('course.pass', null)->where('course.otherPasses.0.words', 'Apprentice pass, paused');
        $this->reads('kaia')->where('course.otherPasses.0.words', 'Apprentice pass, withdrawn');
        $this->reads('gro')->where('course.otherPasses.0.words', 'Apprentice pass, ended Mon 9 Mar, 13:00');
        $this->reads('birk')->where('course.otherPasses.0.words', 'Apprentice pass, begins Sun 15 Mar, 13:00');
    }

    public function test_a_course_that_is_over_says_so_and_counts_no_days(): void
    {
        $this->post('/keep/notices', ['course' => 'clinker', 'case' => 'course-over', 'version' => 0, 'heading' => '', 'text' => 'The boats are in the water. See you next year.', 'way' => 'notice']);
        $this->rules(static function (CourseDocument $document): void {
            $document->raw()->closes = '2026-03-10T13:00';
        });
        $this->reads('eira')->where('course.left', null)->where('offers', [])->where('closing.text', 'This course has been over since Tue 10 Mar.');
        $this->get('/checkout/apprentice-pass')->assertInertia(fn (Page $page) => $page->where('refusal', 'This course has been over since Tue 10 Mar.'));
        $this->post('/checkout/apprentice-pass')->assertSessionHas('flash.kind', 'refused');
        $this->get('/courses/clinker/l-planes')->assertInertia(fn (Page $page) => $page->where('offers', []));
    }

    public function test_a_retired_course_goes_on_for_those_who_hold_it_and_is_sold_to_nobody(): void
    {
        $this->rules(static function (CourseDocument $document): void {
            $document->raw()->state = 'retired';
        });
        $this->reads('eira')->where('closing', null)->where('course.left', '172 days left')->where('offers', []);
        $this->reads('jonas')->where('closing.text', 'This course is not given any more.')->where('offers', []);
        $this->get('/checkout/apprentice-pass')->assertInertia(fn (Page $page) => $page->where('refusal', 'This course is not given any more.'));
    }

    public function test_a_date_is_told_only_where_the_pass_reaches_it(): void
    {
        $this->act('give', ['jonas'], ['offer' => 'apprentice-pass']);
        $status = function (string $item): string {
            $row = array_column((array) $this->actingAs($this->person('jonas'))->get('/courses/clinker')->inertiaProps('course.path'), null, 'key')[$item] ?? [];

            return is_array($row) ? implode('', array_column($row['status']['segments'], 'text')) : '';
        };
        self::assertSame('Opens Tue 17 Mar, 09:00', $status('m-tools'));
        // What is for others is for them by the names of their passes, and no day is told.
        self::assertSame('For Journeyman pass and Yard trial', $status('l-advanced'));
        $this->pass('jonas')->update(['ends_at' => '2026-03-17 08:00:00']);
        self::assertSame('Your pass ends before this opens', $status('m-tools'));
        $this->pass('jonas')->update(['ends_at' => '2026-03-17 08:00:01']);
        self::assertSame('Opens Tue 17 Mar, 09:00', $status('m-tools'));
    }
}

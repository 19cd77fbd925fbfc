<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\Grant;
use Illuminate\Support\Carbon;
use Tests\Factories\ItemVisitFactory;
use Tests\TestCase;

/** What is handed out to many, and taken back from them; and what lists tell of trials and samples. */
final class HandingOutTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_the_rows_of_a_course_are_asked_for_when_something_is_handed_out(): void
    {
        $rows = $this->getJson('/keep/people/rows/clinker')->assertOk()->json();
        self::assertIsArray($rows);
        self::assertContains('The steam box', array_column($rows, 'title'));
        $this->actingAs($this->person('eira'))->getJson('/keep/people/rows/clinker')->assertNotFound();
    }

    public function test_a_row_is_taken_back_from_many(): void
    {
        $row = ['course' => 'clinker', 'item' => 'l-steam'];
        $this->act('grant', ['eira', 'sunniva'], $row)->assertSessionHasNoErrors();
        Carbon::setTestNow('2026-03-11T12:00:00Z');
        self::assertEquals(['lose it now' => 2, 'do not have it any more' => 1], $this->previewed('take-back', ['eira', 'sunniva', 'torvald'], $row));
        $this->act('take-back', ['eira', 'sunniva', 'torvald'], $row)->assertSessionHas('flash.kind', 'done');
        self::assertSame(2, Grant::query()->where('item_key', 'l-steam')->where('ends_at', '2026-03-11 12:00:00')->count());
        self::assertSame(['do not have it any more' => 2], $this->previewed('take-back', ['eira', 'sunniva'], $row));
        $this->act('take-back', ['eira'], ['course' => 'clinker'])->assertSessionHasErrors('item');
    }

    public function test_another_row_and_another_course_stay(): void
    {
        $this->act('grant', ['eira'], ['course' => 'clinker', 'item' => 'l-steam']);
        $this->act('grant', ['eira'], ['course' => 'clinker', 'item' => 'l-rivets']);
        self::assertSame(['lose it now' => 1], $this->previewed('take-back', ['eira'], ['course' => 'clinker', 'item' => 'l-rivets']));
        $this->act('take-back', ['eira'], ['course' => 'clinker', 'item' => 'l-rivets']);
        self::assertSame(['l-steam'], Grant::query()->whereNull('ends_at')->pluck('item_key')->all());
    }

    public function test_the_courses_of_a_person_stand_before_the_others(): void
    {
        $courses = $this->get('/keep/people/'.$this->person('oda')->id)->inertiaProps('courses');
        self::assertIsArray($courses);
        self::assertSame('steam-frames', array_column($courses, 'key')[0]);
        self::assertSame('clinker', array_column((array) $this->get('/keep/people/'.$this->person('eira')->id)->inertiaProps('courses'), 'key')[0]);
    }

    public function test_the_list_of_trials_tells_the_minute_and_so_does_its_file(): void
    {
        $people = $this->get('/keep/people?standing=trial')->inertiaProps('people');
        self::assertStringContainsString('Yard trial, to Tue 17 Mar, 13:00', (string) json_encode($people));
        self::assertStringContainsString('Yard trial, to Tue 17 Mar, 13:00', $this->get('/keep/people.csv?standing=trial')->streamedContent());
        self::assertStringContainsString('Apprentice pass, to Sat 29 Aug"', (string) json_encode($this->get('/keep/people?find=eira')->inertiaProps('people')));
    }

    public function test_who_only_looked_at_samples_is_told_with_which_and_since_when(): void
    {
        ItemVisitFactory::new()->of($this->person('jonas'))->at($this->course(), 'l-welcome')->createOne(['via' => 'sample', 'first_at' => '2026-03-08 10:00:00', 'last_at' => '2026-03-09 10:00:00']);
        $told = 'Welcome to the shed (Clinker planking), since Sun 8 Mar, 11:00';
        self::assertStringContainsString($told, (string) json_encode($this->get('/keep/people?standing=samples')->inertiaProps('people')));
        self::assertStringContainsString($told, $this->get('/keep/people.csv?standing=samples')->streamedContent());
        self::assertStringNotContainsString($told, (string) json_encode($this->get('/keep/people?find=jonas')->inertiaProps('people')));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Course;
use App\Models\Offer;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

final class CourseFilesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_course_from_a_file_waits_to_be_published(): void
    {
        $this->upload($this->plan('lofting'))->assertRedirect('/keep/courses/lofting');

        $course = $this->course('lofting');
        self::assertNull($course->live_revision_id);
        self::assertSame('Lofting', json_decode($course->draft->document ?? '{}')->course->title);
        self::assertSame(['lofting-pass'], Offer::query()->where('course_id', $course->id)->pluck('key')->all());
        $this->get('/keep/courses/lofting')->assertOk();
    }

    public function test_a_file_and_back(): void
    {
        $this->upload($plan = $this->plan('lofting'));

        self::assertJsonStringEqualsJsonString($plan, (string) $this->get('/keep/courses/lofting/plan.json')->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="lofting.plan.json"')->getContent());
        $this->actingAs($this->person('eira'))->get('/keep/courses/lofting/plan.json')->assertNotFound();
    }

    public function test_every_offence_is_told_with_its_place_and_nothing_is_taken_over(): void
    {
        $bad = str_replace(['"lesson"', 'Oslo'], ['"chapter"', 'Atlantis'], $this->plan('lofting'));
        $message = $this->refusal($this->upload($bad));

        self::assertStringContainsString('/school/zone: ', $message);
        self::assertStringContainsString('/courses/0/items/0/kind: ', $message);
        self::assertStringEndsWith('Nothing was taken over.', $message);
        self::assertSame(0, Course::query()->where('key', 'lofting')->count());
    }

    public function test_what_is_there_already_is_not_written_over(): void
    {
        self::assertStringContainsString('this school has a course clinker already', $this->refusal($this->upload($this->plan('clinker'))));
    }

    public function test_of_several_courses_all_or_none_come_in(): void
    {
        $plan = json_decode($this->plan('lofting'), true);
        $second = ['key' => 'oars'] + $plan['courses'][0];
        $plan['courses'][] = $second;
        $this->refusal($this->upload((string) json_encode($plan)));
        self::assertSame(0, Course::query()->where('key', 'lofting')->count());

        $plan['courses'][1]['key'] = 'more-oars';
        $this->upload((string) json_encode($plan))->assertRedirect('/keep/courses');
        self::assertSame(2, Course::query()->whereIn('key', ['lofting', 'more-oars'])->count());
    }

    public function test_what_is_no_plan_is_refused(): void
    {
        $this->refusal($this->upload('not json'));
        $this->refusal($this->upload(''));
        $this->post('/keep/courses/plan-file')->assertSessionHasErrors(['plan' => 'Please choose a plan file.']);
        $this->actingAs($this->person('aksel'))->post('/keep/courses/plan-file')->assertForbidden();
    }

    private function plan(string $key): string
    {
        return (string) json_encode([
            'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true],
            'offers' => [['key' => "{$key}-pass", 'course' => $key, 'title' => 'Pass']],
            'courses' => [['key' => $key, 'title' => ucfirst($key), 'state' => 'live', 'entry' => 'offer', 'items' => [['key' => 'a', 'kind' => 'lesson', 'title' => 'Battens']]]],
        ]);
    }

    /** @return TestResponse<Response> */
    private function upload(string $plan): TestResponse
    {
        return $this->post('/keep/courses/plan-file', ['plan' => UploadedFile::fake()->createWithContent('plan.json', $plan)]);
    }

    /** @param  TestResponse<Response>  $answer */
    private function refusal(TestResponse $answer): string
    {
        $answer->assertSessionHasErrors('plan');

        return (string) session('errors')->first('plan');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\ActRecord;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Pass;
use App\People\Acts\KeepForGood;
use App\People\UndoAct;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\CourseFactory;
use Tests\TestCase;

/** The end of a course: planned in its draft, rehearsed, published; and what stands there afterwards. */
final class RetireTest extends TestCase
{
    private const PLAN = ['version' => 0, 'keep' => 'pass', 'lastDay' => '', 'shutGuests' => true, 'shutObservers' => false, 'takes' => true, 'listed' => false, 'subject' => '', 'address' => '', 'oldAddress' => 'closing'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @param  array<string, mixed>  $plan */
    private function plan(array $plan, string $course = 'clinker'): void
    {
        $this->post("/keep/courses/{$course}/retire", [...self::PLAN, ...$plan])->assertSessionHasNoErrors()->assertRedirect("/keep/courses/{$course}/rehearsal");
    }

    private function publish(string $course = 'clinker'): void
    {
        $receipt = $this->get("/keep/courses/{$course}/rehearsal")->assertOk()->inertiaProps('receipt');
        $this->post("/keep/courses/{$course}/revisions", ['version' => $this->course($course)->draft?->version, 'receipt' => $receipt])->assertSessionHas('flash.kind', 'done');
    }

    public function test_it_is_planned_in_the_draft_and_nothing_happens_before_it_is_published(): void
    {
        $this->plan(['address' => 'boats-2026', 'listed' => true, 'takes' => false, 'keep' => 'good']);
        self::assertSame('retired', CourseDocument::fromJson((string) $this->course()->draft?->document)->read()->state());
        $this->get('/keep/courses/clinker/retire')->assertInertia(fn ($page) => $page->where('isPlanned', true)->where('keep', 'good')->where('address', 'boats-2026')->where('listed', true)->where('takes', false)->where('version', 1));
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn ($page) => $page->where('with', [
            'Passes that people hold then last for good. That can be taken back for each offer, in People.',
            'Its address becomes /courses/boats-2026; /courses/clinker leads there.',
            'The front names it among the courses that are over.',
            'Nobody can ask any more to be told when it runs again.',
        ]));
        self::assertSame([null, false, true], [$this->course()->address, $this->course()->listed_over, $this->course()->takes_next_run]);
        self::assertGreaterThan(0, Pass::query()->where('course_id', $this->course()->id)->whereNotNull('ends_at')->count());
        auth()->logout();
        $this->get('/courses/clinker')->assertOk();
        $this->get('/courses/boats-2026')->assertNotFound();
    }

    public function test_a_double_click_plans_once_and_what_another_has_planned_since_stands(): void
    {
        $this->plan(['address' => 'boats-2026']);
        $this->plan(['address' => 'boats-2026']);
        self::assertSame(1, $this->course()->draft?->version);
        $this->post('/keep/courses/clinker/retire', [...self::PLAN, 'address' => 'ships-2026'])->assertSessionHas('flash.kind', 'refused');
        self::assertStringContainsString('boats-2026', (string) $this->course()->retirement);
        // Whoever has seen it plans it otherwise.
        $this->plan(['version' => 1, 'address' => 'ships-2026']);
        self::assertStringContainsString('ships-2026', (string) $this->course()->retirement);
    }

    public function test_what_was_planned_goes_with_the_draft(): void
    {
        $this->plan(['address' => 'boats-2026']);
        $this->delete('/keep/courses/clinker/draft', ['version' => 1])->assertSessionHas('flash.kind', 'done');
        self::assertNull($this->course()->retirement);
        // Retired by another hand later, it stays where it is.
        $this->plan([]);
        $this->publish();
        self::assertNull($this->course()->address);
    }

    public function test_a_draft_that_retires_nothing_any_more_moves_no_address(): void
    {
        $this->plan(['address' => 'boats-2026', 'keep' => 'good']);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1])->assertSessionHasNoErrors();
        $this->post('/keep/courses/clinker/draft/edits', ['version' => 2, 'set' => 'optional', 'items' => ['l-timber'], 'value' => 'yes'])->assertSessionHasNoErrors();
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn ($page) => $page->where('with', []));
        $ends = Pass::query()->whereNotNull('ends_at')->count();
        $this->publish();
        self::assertSame([null, null, $ends], [$this->course()->address, $this->course()->retirement, Pass::query()->whereNotNull('ends_at')->count()]);
    }

    public function test_the_old_address_leads_to_the_closing_page_and_learners_to_what_they_keep(): void
    {
        $this->plan(['address' => 'boats-2026', 'listed' => true]);
        $this->publish();
        auth()->logout();
        $this->get('/')->assertInertia(fn ($page) => $page->where('over.0.key', 'boats-2026')->where('over.0.title', 'Clinker planking'));
        $this->get('/courses/clinker')->assertRedirect('/courses/boats-2026');
        $this->get('/courses/clinker/l-planes')->assertRedirect('/courses/boats-2026');
        $this->get('/courses/boats-2026')->assertInertia(fn ($page) => $page->where('course.key', 'boats-2026')->where('closing.text', 'This course is not given any more.')->where('closing.signUp', 'form')->where('offers', [])
            ->where('closing.instead.0.title', 'Steam-bent frames')->where('closing.contactName', 'Hege Strand'));
        $this->get('/courses/boats-2026/l-planes')->assertInertia(fn ($page) => $page->component('learner/Notice')->where('case', 'course-retired')->where('offers', [])->where('instead.0.key', 'steam-frames'));
        $this->actingAs($this->person('eira'))->get('/courses/clinker/l-planes')->assertRedirect('/courses/boats-2026/l-planes');
        $this->get('/courses/boats-2026/l-planes')->assertInertia(fn ($page) => $page->component('learner/Lesson')->where('course.key', 'boats-2026'));
        $this->get('/courses')->assertInertia(fn ($page) => $page->where('courses.0.key', 'boats-2026'));
        // A page that was open meanwhile goes on working.
        $this->post('/courses/clinker/l-planes/finished')->assertRedirect();
        self::assertTrue(DB::table('completions')->where('person_id', $this->person('eira')->id)->where('item_key', 'l-planes')->exists());
        $this->actingAs($this->person('hege'))->get('/keep/courses/clinker')->assertOk();
        $this->get('/keep/courses/boats-2026')->assertOk();
    }

    public function test_the_old_address_can_answer_as_if_nothing_were_there(): void
    {
        $this->plan(['address' => 'boats-2026', 'oldAddress' => 'nothing']);
        $this->publish();
        foreach (['jonas', 'eira'] as $who) {
            $this->actingAs($this->person($who))->get('/courses')->assertOk();
            $nothing = $this->get('/courses/nothing-here')->assertNotFound();
            self::assertSame($nothing->getContent(), str_replace('clinker', 'nothing-here', (string) $this->get('/courses/clinker')->assertNotFound()->getContent()));
            $this->get('/courses/clinker/l-planes')->assertNotFound();
            $this->post('/courses/clinker/l-planes/finished')->assertNotFound();
        }
        $this->get('/courses')->assertInertia(fn ($page) => $page->where('courses.0.key', 'boats-2026'));
    }

    public function test_passes_last_for_good_once_it_is_published_and_that_is_taken_back_by_offer(): void
    {
        $ended = Pass::query()->where('course_id', $this->course()->id)->where('ends_at', '<=', '2026-03-10 12:00:00')->pluck('ends_at', 'id')->all();
        $withdrawn = Pass::query()->where('course_id', $this->course()->id)->where('state', 'revoked')->whereNotNull('ends_at')->count();
        $other = Pass::query()->where('course_id', '!=', $this->course()->id)->whereNotNull('ends_at')->count();
        self::assertNotSame([], $ended);
        $running = static fn (): int => Pass::query()->where('course_id', 1)->whereIn('state', ['active', 'paused'])->where('ends_at', '>', '2026-03-10 12:00:00')->count();
        $before = $running();
        self::assertSame(1, $this->course()->id);
        self::assertGreaterThan(0, $before);
        $this->plan(['keep' => 'good']);
        $this->publish();
        self::assertSame([0, $withdrawn, $other], [$running(), Pass::query()->where('course_id', 1)->where('state', 'revoked')->whereNotNull('ends_at')->count(), Pass::query()->where('course_id', '!=', 1)->whereNotNull('ends_at')->count()]);
        self::assertEquals($ended, Pass::query()->whereKey(array_keys($ended))->pluck('ends_at', 'id')->all());
        // Another worker that takes the job up again does nothing twice.
        $acts = ActRecord::query()->count();
        KeepForGood::dispatchSync(1, (int) $this->course()->live_revision_id, $this->person('hege')->id);
        self::assertSame($acts, ActRecord::query()->count());
        foreach (ActRecord::query()->where('told', 'Let a pass last for good')->get() as $act) {
            app(UndoAct::class)($act->id, $this->person('hege'), true);
        }
        self::assertSame($before, $running());
    }

    public function test_whoever_keeps_it_to_the_end_of_a_day_loses_it_with_that_day(): void
    {
        $this->plan(['keep' => 'day', 'lastDay' => '2026-03-12']);
        $this->publish();
        $this->actingAs($this->person('eira'));
        $this->travelTo('2026-03-12T22:59:59Z');
        $this->get('/courses/clinker/l-planes')->assertInertia(fn ($page) => $page->component('learner/Lesson'));
        $this->travelTo('2026-03-12T23:00:00Z');
        $this->get('/courses/clinker/l-planes')->assertInertia(fn ($page) => $page->component('learner/Notice'));
        $this->actingAs($this->person('hege'))->get('/keep/courses/clinker/retire')->assertInertia(fn ($page) => $page->where('isRetired', true)->where('keep', 'day')->where('lastDay', '2026-03-12'));
    }

    public function test_courses_of_its_subject_are_named_at_its_end_and_any_where_there_are_none(): void
    {
        $this->put('/keep/courses/petrol/retire', [...self::PLAN, 'subject' => 'Sails'])->assertSessionHasNoErrors();
        $titles = fn (): array => array_column((array) $this->get('/courses/petrol')->inertiaProps('closing.instead'), 'title');
        $this->actingAs($this->person('jonas'));
        self::assertSame(['Clinker planking', 'Steam-bent frames', 'Sails by hand', 'Winter refit'], $titles());
        $this->course('sails')->update(['subject' => 'Sails']);
        self::assertSame(['Sails by hand'], $titles());
    }

    public function test_what_is_over_itself_is_not_where_one_is_sent(): void
    {
        // Its season has ended; nobody has retired it.
        $this->actingAs($this->person('jonas'))->travelTo('2029-01-01T12:00:00Z');
        self::assertNotNull($this->get('/courses/winter-refit')->inertiaProps('closing'));
        self::assertNotContains('Winter refit', array_column((array) $this->get('/courses/petrol')->inertiaProps('closing.instead'), 'title'));
        auth()->logout();
        $front = $this->get('/');
        self::assertNotContains('Winter refit', array_column((array) $front->inertiaProps('courses'), 'title'));
        self::assertSame(['Winter refit'], array_column((array) $front->inertiaProps('over'), 'title'));
    }

    public function test_of_a_course_that_is_retired_the_closing_page_is_set_at_once(): void
    {
        $this->put('/keep/courses/petrol/retire', [...self::PLAN, 'takes' => false, 'address' => 'engines-2025'])->assertRedirect()->assertSessionHas('flash.kind', 'done');
        self::assertNull($this->course('petrol')->draft);
        auth()->logout();
        $this->get('/courses/petrol')->assertRedirect('/courses/engines-2025');
        $this->get('/courses/engines-2025')->assertInertia(fn ($page) => $page->where('closing.signUp', 'none'));
        // And goes back to what it was.
        $this->actingAs($this->person('hege'))->put('/keep/courses/petrol/retire', self::PLAN)->assertSessionHasNoErrors();
        $this->get('/courses/petrol')->assertOk();
        $this->get('/courses/engines-2025')->assertNotFound();
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function odd(): array
    {
        return [
            'the address of another course' => [['address' => 'sails'], 'address'],
            'an address with a slash' => [['address' => 'a/b'], 'address'],
            'an address with a line break' => [['address' => "boats\n"], 'none'],
            'capital letters' => [['address' => 'Boats'], 'address'],
            'too long' => [['address' => str_repeat('a', 61)], 'address'],
            'an address that is a list' => [['address' => ['a']], 'address'],
            'no such choice' => [['keep' => 'always'], 'keep'],
            'a day that is not said' => [['keep' => 'day'], 'lastDay'],
            'no day at all' => [['keep' => 'day', 'lastDay' => '2026-02-30'], 'lastDay'],
            'old addresses that do something else' => [['oldAddress' => 'elsewhere'], 'oldAddress'],
            'a subject without end' => [['subject' => str_repeat('a', 61)], 'subject'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('odd')]
    public function test_what_does_not_go_is_said_at_its_field(array $with, string $field): void
    {
        $response = $this->post('/keep/courses/clinker/retire', [...self::PLAN, ...$with]);
        if ($field === 'none') {
            // Blanks at the ends are taken off.
            $response->assertSessionHasNoErrors();

            return;
        }
        $response->assertSessionHasErrors($field);
        self::assertSame([null, null], [$this->course()->draft, $this->course()->retirement]);
    }

    public function test_an_address_that_was_taken_meanwhile_publishes_nothing(): void
    {
        $this->plan(['address' => 'boats-2026']);
        $receipt = $this->get('/keep/courses/clinker/rehearsal')->inertiaProps('receipt');
        CourseFactory::new()->create(['key' => 'boats-2026']);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1, 'receipt' => $receipt])->assertSessionHas('flash.kind', 'refused');
        self::assertStringContainsString('/courses/boats-2026', session('flash')['text']);
        self::assertNotNull($this->course()->draft);
        self::assertSame('live', CourseDocument::fromJson((string) $this->course()->liveRevision?->document)->read()->state());
    }

    public function test_a_new_course_is_not_made_at_the_address_of_another(): void
    {
        $this->put('/keep/courses/petrol/retire', [...self::PLAN, 'address' => 'engines'])->assertSessionHasNoErrors();
        $this->post('/keep/courses', ['title' => 'Engines'])->assertRedirect('/keep/courses/engines-2');
        $plan = str_replace('"sails"', '"engines"', (string) $this->get('/keep/courses/sails/plan.json')->getContent());
        $this->post('/keep/courses/plan-file', ['plan' => UploadedFile::fake()->createWithContent('plan.json', $plan)])->assertSessionHasErrors('plan');
        self::assertStringContainsString('Another course is found at /courses/engines.', (string) session('errors')?->first('plan'));
        self::assertSame(0, Course::query()->where('key', 'engines')->count());
    }

    public function test_an_assistant_looks_and_retires_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $this->get('/keep/courses/clinker/retire')->assertOk()->assertInertia(fn ($page) => $page->where('mayEdit', false));
        $this->post('/keep/courses/clinker/retire', self::PLAN)->assertForbidden();
        $this->put('/keep/courses/petrol/retire', self::PLAN)->assertForbidden();
    }

    public function test_a_course_that_is_not_retired_keeps_its_address_until_it_is(): void
    {
        $this->put('/keep/courses/clinker/retire', [...self::PLAN, 'address' => 'boats-2026'])->assertSessionHas('flash.kind', 'refused');
        self::assertNull($this->course()->address);
    }
}

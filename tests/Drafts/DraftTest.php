<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Models\Activity;
use App\Models\Draft;
use App\Models\Pass;
use App\Models\Revision;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\CourseFactory;
use Tests\TestCase;

final class DraftTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_an_edit_gathers_in_the_draft_and_touches_nothing_live(): void
    {
        $live = $this->course()->liveRevision?->document;
        $this->openToolsAfter(3)->assertRedirect()->assertSessionHasNoErrors();

        self::assertSame($live, $this->course()->liveRevision?->document);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page
            ->component('keep/Workspace')
            ->where('course.draftVersion', 1)
            ->where('rules.5.opens', ['words' => '3 days after joining, 09:00', 'own' => true, 'edited' => true])
            ->has('changes', 1)
            ->where('changes.0.segments.0', ['text' => 'Tools and timber', 'title' => true])
            ->where('changes.0.segments.1.text', ' opens 3 days after joining, 09:00 in the weekly plan (was: 7 days after joining, 09:00)'));
    }

    public function test_publishing_makes_the_draft_live_and_says_what_changed(): void
    {
        $this->openToolsAfter(3);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1, 'note' => 'sooner'])->assertRedirect();

        $flash = session('flash');
        self::assertSame('done', $flash['kind']);
        self::assertSame('Tools and timber opens 3 days after joining, 09:00 in the weekly plan (was: 7 days after joining, 09:00)', (string) $flash['lines'][0]);
        $revision = $this->course()->liveRevision;
        self::assertSame([2, 'sooner'], [$revision?->number, $revision?->note]);
        self::assertSame(0, Draft::query()->count());
        self::assertSame(1, Activity::query()->where('action', 'course.published')->whereNotNull('actor_id')->count());
    }

    public function test_publishing_twice_by_a_double_click_publishes_once(): void
    {
        $this->openToolsAfter(3);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);
        $this->post('/keep/courses/clinker/revisions', ['version' => 1]);

        self::assertSame(2, Revision::query()->where('course_id', $this->course()->id)->count());
        self::assertSame('refused', session('flash')['kind']);
    }

    public function test_two_editors_cannot_overwrite_each_other_unseen(): void
    {
        $this->openToolsAfter(3);
        $this->openToolsAfter(5, version: 0);

        self::assertSame('collision', session('flash')['kind']);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules.5.opening.days', 3));
    }

    public function test_undo_takes_the_last_edit_back(): void
    {
        $this->openToolsAfter(3);
        $this->openToolsAfter(5, version: 1);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 2]);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules.5.opening.days', 3)->where('course.edits', 1));
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 3]);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules.5.opening.days', 7)->has('changes', 0));
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 4]);
        self::assertSame('refused', session('flash')['kind']);
    }

    public function test_what_was_undone_can_be_redone_step_by_step(): void
    {
        $this->openToolsAfter(3);
        $this->openToolsAfter(5, version: 1);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 2]);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 3]);
        foreach ([[3, 1, 1], [5, 2, 0]] as $step => [$days, $edits, $undone]) {
            $this->post('/keep/courses/clinker/draft/redo', ['version' => 4 + $step]);
            $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page
                ->where('rules.5.opening.days', $days)->where('course.edits', $edits)->where('course.undone', $undone));
        }
        $this->post('/keep/courses/clinker/draft/redo', ['version' => 6]);
        self::assertSame('There is nothing left to redo.', session('flash')['text']);
    }

    public function test_a_new_edit_ends_what_could_be_redone(): void
    {
        $this->openToolsAfter(3);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        $this->openToolsAfter(5, version: 2);
        $this->post('/keep/courses/clinker/draft/redo', ['version' => 3]);

        self::assertSame('refused', session('flash')['kind']);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page
            ->where('rules.5.opening.days', 5)->where('course.edits', 1)->where('course.undone', 0));
    }

    public function test_an_edit_that_changes_nothing_leaves_what_can_be_redone(): void
    {
        $this->openToolsAfter(3);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        $this->openToolsAfter(7, version: 2);
        $this->post('/keep/courses/clinker/draft/redo', ['version' => 2]);

        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules.5.opening.days', 3));
    }

    public function test_redo_is_refused_to_one_who_saw_another_version(): void
    {
        $this->openToolsAfter(3);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 1]);
        $this->post('/keep/courses/clinker/draft/redo', ['version' => 1]);

        self::assertSame('refused', session('flash')['kind']);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('rules.5.opening.days', 7)->where('course.undone', 1));
    }

    public function test_a_discarded_draft_is_gone_and_what_is_live_stays(): void
    {
        $this->openToolsAfter(3);
        $this->delete('/keep/courses/clinker/draft', ['version' => 1])->assertRedirect();

        self::assertSame(0, Draft::query()->count());
        self::assertSame(1, $this->course()->liveRevision?->number);
    }

    public function test_taking_a_rule_back_leaves_no_empty_entry(): void
    {
        $this->edit(['rule' => null]);

        $document = json_decode(Draft::query()->firstOrFail()->document);
        self::assertObjectNotHasProperty('m-tools', $document->course->plans->weekly);
    }

    /** @param  array<string, mixed>  $rule */
    #[DataProvider('badRules')]
    public function test_a_bad_rule_is_refused_at_its_field(array $rule, string $field): void
    {
        $this->edit($rule)->assertSessionHasErrors($field);
        self::assertSame(0, Draft::query()->count());
    }

    /** @return \Generator<string, array{array<string, mixed>, string}> */
    public static function badRules(): \Generator
    {
        yield 'no such rule' => [['rule' => 'whenever'], 'rule'];
        yield 'a date without a date' => [['rule' => 'on', 'at' => ''], 'at'];
        yield '30 February' => [['rule' => 'on', 'at' => '2026-02-30T09:00'], 'at'];
        yield 'no days' => [['rule' => 'after_start', 'days' => ''], 'days'];
        yield 'negative days' => [['rule' => 'after_start', 'days' => -1], 'days'];
        yield 'half a day' => [['rule' => 'after_start', 'days' => 1.5], 'days'];
        yield 'a century' => [['rule' => 'after_previous', 'days' => 40_000], 'days'];
        yield 'twenty-five o\'clock' => [['rule' => 'after_start', 'days' => 1, 'time' => '25:00'], 'time'];
        yield 'an eighth weekday' => [['rule' => 'after_start', 'days' => 1, 'weekday' => 8], 'weekday'];
    }

    public function test_an_item_that_is_gone_is_refused_with_a_reason(): void
    {
        $this->edit(['rule' => 'at_once', 'items' => ['m-gone']]);

        self::assertStringContainsString('no item m-gone', session('flash')['text']);
    }

    public function test_assistants_see_everything_and_change_nothing(): void
    {
        $this->actingAs($this->person('aksel'));
        $this->get('/keep/courses/clinker')->assertOk()->assertInertia(fn (Page $page) => $page->where('mayEdit', false));
        $this->openToolsAfter(3)->assertForbidden();
        $this->post('/keep/courses/clinker/revisions', ['version' => 0])->assertForbidden();
        $this->post('/keep/courses/clinker/draft/undo', ['version' => 0])->assertForbidden();
        $this->delete('/keep/courses/clinker/draft', ['version' => 0])->assertForbidden();
    }

    public function test_learners_do_not_learn_that_there_is_a_desk(): void
    {
        $this->actingAs($this->person('eira'));
        $this->get('/keep/courses')->assertNotFound();
        $this->get('/keep/courses/clinker')->assertNotFound();
        $this->openToolsAfter(3)->assertNotFound();
    }

    public function test_the_list_of_courses_counts_whose_pass_is_active_now(): void
    {
        $holders = fn (): int => $this->get('/keep/courses')->inertiaProps('courses')[0]['holders'];
        $counts = [$holders()];
        $eira = Pass::query()->where('person_id', $this->person('eira')->id);
        foreach ([['state' => 'paused'], ['state' => 'revoked'], ['state' => 'active', 'ends_at' => '2026-03-10 12:00:00'], ['ends_at' => null, 'starts_at' => '2026-03-10 12:00:01']] as $change) {
            $eira->clone()->update($change);
            $counts[] = $holders();
        }
        $eira->clone()->update(['starts_at' => '2026-03-10 12:00:00']);
        $counts[] = $holders();
        // Two passes of one person are one holder.
        Pass::query()->create([...$eira->firstOrFail()->only('person_id', 'course_id', 'offer_id', 'state'), 'starts_at' => '2026-03-01 12:00:00', 'source' => 'test']);
        $counts[] = $holders();
        self::assertSame([0, -1, -1, -1, -1, 0, 0], array_map(static fn (int $count): int => $count - $counts[0], $counts));
    }

    public function test_the_list_of_courses_asks_a_constant_number_of_queries(): void
    {
        // The first page that somebody opens also notes that they were here.
        $this->get('/keep/courses');
        $this->nothingIsKept();
        $count = $this->queriesOf('/keep/courses');
        $kept = $this->queriesOf('/keep/courses');
        foreach (range(1, 5) as $n) {
            CourseFactory::new()->createOne(['key' => "copy-{$n}", 'live_revision_id' => $this->course()->live_revision_id]);
        }

        self::assertSame($count, $this->queriesOf('/keep/courses'));
        self::assertSame($kept, $this->queriesOf('/keep/courses'));
        self::assertLessThan($count, $kept);
    }

    private function queriesOf(string $address): int
    {
        $this->inAnotherProcess();
        $queries = 0;
        \DB::listen(static function () use (&$queries): void {
            $queries++;
        });
        $this->get($address)->assertOk();

        return $queries;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function openToolsAfter(int $days, int $version = 0): TestResponse
    {
        return $this->edit(['rule' => 'after_start', 'days' => $days, 'time' => '09:00', 'version' => $version]);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function edit(array $fields): TestResponse
    {
        return $this->post('/keep/courses/clinker/draft/edits', ['version' => 0, 'set' => 'opens', 'plan' => 'weekly', 'items' => ['m-tools'], ...$fields]);
    }
}

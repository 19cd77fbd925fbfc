<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Content;
use App\Models\Course;
use App\Models\Draft;
use App\Publishing\PublishDue;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** What lessons are to hold waits in the draft of their course: told, rehearsed, published, set for a time and thrown away with it. */
final class DraftedContentsTest extends TestCase
{
    use EditsDrafts;

    private const TOLD = 'What Tuning a plane holds is new: its text';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return TestResponse<Response> */
    private function write(string $text, string $item = 'l-planes', bool $later = true): TestResponse
    {
        $content = $this->content($item);

        return $this->put("/keep/courses/clinker/contents/{$item}", ['version' => $content->version ?? 0, 'drafted' => $content->drafted_version ?? 0, 'text' => $text, 'quiz' => $content->quiz ?? [], 'minutes' => $content?->minutes, 'later' => $later])->assertSessionHasNoErrors();
    }

    private function content(string $item = 'l-planes'): ?Content
    {
        return Content::query()->where('course_id', $this->course()->id)->where('item_key', $item)->first();
    }

    private function hasDraft(): bool
    {
        return Draft::query()->where('course_id', $this->course()->id)->exists();
    }

    /** @return list<string> */
    private function changes(string $address): array
    {
        $told = [];
        foreach ((array) $this->get($address)->assertOk()->inertiaProps('changes') as $change) {
            $told[] = implode('', array_column(is_array($change) && is_array($change['segments'] ?? null) ? $change['segments'] : [], 'text'));
        }

        return $told;
    }

    public function test_it_is_told_wherever_changes_are_and_published_where_no_rule_changes(): void
    {
        self::assertFalse($this->hasDraft());
        $this->write('Flat on glass.');
        foreach (['/keep/courses/clinker', '/keep/courses/clinker/rehearsal'] as $address) {
            self::assertSame([self::TOLD], $this->changes($address), $address);
        }
        self::assertSame(1, array_column((array) $this->get('/keep/courses')->inertiaProps('courses'), 'changes', 'key')['clinker'] ?? null);

        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version]);
        self::assertSame('Flat on glass.', $this->content()?->text);
        self::assertSame([2, false], [$this->course()->liveRevision?->number, $this->hasDraft()]);
        self::assertSame(self::TOLD, self::told());
        $this->get('/keep/courses/clinker/revisions')->assertInertia(fn (Page $page) => $page->where('revisions.0.changes.0.segments.1.text', 'Tuning a plane')->where('revisions.0.number', 2));
        self::assertSame(0, array_column((array) $this->get('/keep/courses')->inertiaProps('courses'), 'changes', 'key')['clinker'] ?? null);
    }

    public function test_what_says_what_is_live_already_is_nothing_to_publish(): void
    {
        $this->write((string) $this->content()?->text);
        self::assertSame([], $this->changes('/keep/courses/clinker'));
        $this->get('/keep/courses/clinker/rehearsal')->assertRedirect('/keep/courses/clinker');
        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version]);
        self::assertSame(1, $this->course()->liveRevision?->number);
    }

    public function test_a_draft_of_rules_goes_on_beside_it(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $version = $this->draft()->version;
        $this->write('Flat on glass.');
        self::assertSame($version, $this->draft()->version);
        self::assertCount(2, $this->changes('/keep/courses/clinker/rehearsal'));
        // As of one who looked before anything was drafted.
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $version])->assertSessionHasNoErrors();
        self::assertSame([self::TOLD], $this->changes('/keep/courses/clinker'));
    }

    public function test_whoever_saw_no_draft_goes_on_editing_rules_once_there_is_one(): void
    {
        $this->write('Flat on glass.');
        $this->actingAs($this->secondAdministrator())->edit(0, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        self::assertTrue($this->item('l-timber')->sample ?? null);
    }

    public function test_thrown_away_with_the_draft_what_is_live_stays(): void
    {
        $live = $this->content()?->text;
        $this->write('Flat on glass.');
        $this->delete('/keep/courses/clinker/draft', ['version' => $this->draft()->version])->assertSessionHasNoErrors();
        self::assertSame([null, $live, false], [$this->content()?->drafted, $this->content()?->text, $this->hasDraft()]);
    }

    public function test_with_the_last_that_is_left_or_goes_live_at_once_the_draft_ends(): void
    {
        $this->write('Flat on glass.');
        $this->delete('/keep/courses/clinker/contents/l-planes', ['drafted' => $this->content()?->drafted_version]);
        self::assertFalse($this->hasDraft());

        $this->write('Flat on glass.');
        self::assertTrue($this->hasDraft());
        $this->write('Flat on glass, wet.', later: false);
        self::assertFalse($this->hasDraft());
        // What a copy that was undone was given waits for nothing.
        $this->post('/keep/courses/clinker/draft/outline', ['version' => 0, 'do' => 'duplicate', 'item' => 'l-planes']);
        $this->post('/keep/courses/clinker/draft/undo', ['version' => $this->draft()->version]);
        $this->delete('/keep/courses/clinker/draft', ['version' => $this->draft()->version]);
        Content::query()->where('item_key', 'l-planes-2')->update(['drafted' => json_encode(['text' => 'Left', 'quiz' => [], 'quiz_rules' => null, 'board' => null, 'minutes' => null])]);
        $this->write('Flat on glass.');
        $this->write('Flat on glass, dry.', later: false);
        self::assertFalse($this->hasDraft());
        // Not where rules are drafted beside it.
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $this->write('Dry.');
        $this->write('Dry after all.', later: false);
        self::assertTrue($this->hasDraft());
    }

    public function test_what_was_set_for_a_time_does_not_take_along_what_was_written_since(): void
    {
        $this->write('Flat on glass.');
        $this->put('/keep/courses/clinker/publication', ['version' => $this->draft()->version, 'at' => '2026-03-12T09:00', 'note' => '', 'receipt' => null])->assertSessionHasNoErrors();
        self::assertNotNull($this->draft()->publish_at);
        $this->write('Flat on glass, wet.');
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.goesLiveAsIs', false));
        $this->travelTo('2026-03-12T08:00:00Z');
        app(PublishDue::class)();
        self::assertSame(1, $this->course()->liveRevision?->number);
        self::assertNotNull($this->draft()->publish_refused);
        self::assertNotSame('Flat on glass, wet.', $this->content()?->text);
    }

    public function test_set_for_a_time_it_goes_live_then(): void
    {
        $this->write('Flat on glass.');
        $this->put('/keep/courses/clinker/publication', ['version' => $this->draft()->version, 'at' => '2026-03-12T09:00', 'note' => '', 'receipt' => null])->assertSessionHasNoErrors();
        $this->travelTo('2026-03-12T08:00:00Z');
        app(PublishDue::class)();
        self::assertSame(['Flat on glass.', 2], [$this->content()?->text, $this->course()->liveRevision?->number]);
    }

    private function publish(): void
    {
        $this->post('/keep/courses/clinker/revisions', ['version' => $this->draft()->version])->assertRedirect('/keep/courses/clinker');
    }

    private function backTo(int $number): void
    {
        $this->post('/keep/courses/clinker/revisions/live', ['live' => $this->course()->liveRevision?->number, 'number' => $number, 'receipt' => null])->assertRedirect('/keep/courses/clinker/revisions');
        self::assertSame('done', session('flash')['kind']);
    }

    public function test_taken_back_lessons_hold_what_they_held_and_again_what_they_were_given(): void
    {
        $before = $this->content()?->text;
        $this->write('Flat on glass.');
        $this->publish();
        $this->write('Flat on glass, wet.');
        $this->write('A board of oak.', 'l-garboard');
        $this->publish();

        self::assertSame(['What Tuning a plane holds is again what it held before', 'What The garboard holds is again what it held before'], $this->changes('/keep/courses/clinker/rehearsal?back=1'));
        $this->write('Flat, on anything.');
        $this->backTo(1);
        self::assertSame([$before, 'Flat, on anything.', 4], [$this->content()?->text, $this->content()->drafted['text'] ?? null, $this->content()?->version]);
        self::assertNotSame('A board of oak.', $this->content('l-garboard')?->text);
        $this->backTo(3);
        self::assertSame(['Flat on glass, wet.', 'A board of oak.'], [$this->content()?->text, $this->content('l-garboard')?->text]);
        $this->backTo(2);
        self::assertSame('Flat on glass.', $this->content()?->text);
    }

    public function test_what_held_nothing_holds_nothing_again(): void
    {
        $this->content()?->delete();
        $this->write('Flat on glass.');
        $this->publish();
        $this->backTo(1);
        self::assertSame('', $this->content()?->text);
    }

    public function test_what_was_written_since_is_not_taken_back_and_that_is_told(): void
    {
        $this->write('Flat on glass.');
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $this->publish();
        $this->write('Flat on glass, at once.', later: false);
        $page = $this->get('/keep/courses/clinker/rehearsal?back=1')->assertOk();
        self::assertSame(['What Tuning a plane holds was written anew since, and stays.'], $page->inertiaProps('with'));
        $receipt = $page->inertiaProps('receipt');
        $this->post('/keep/courses/clinker/revisions/live', ['live' => 2, 'number' => 1, 'receipt' => $receipt]);
        self::assertSame(['Flat on glass, at once.', 3], [$this->content()?->text, $this->course()->liveRevision?->number]);
    }

    public function test_it_is_seen_as_a_learner_would_in_a_stand_in_with_the_draft_and_by_no_learner(): void
    {
        $this->write('Flat on glass.');
        // Where nobody is named, by somebody to whom it is open.
        $this->get('/keep/courses/clinker/stand-in?item=l-planes')->assertInertia(fn (Page $page) => $page->has('vantages', 1)->where('vantages.0.id', fn (string $id): bool => str_starts_with($id, 'holder:')));
        $this->get('/keep/courses/clinker/stand-in')->assertInertia(fn (Page $page) => $page->where('vantages.0.id', 'visitor'));
        $holder = 'person:'.$this->person('ragna')->id;
        $see = fn (string $see): string => (string) $this->get('/keep/courses/clinker/stand-in/view/l-planes?'.http_build_query(['v' => [$holder], 'see' => $see]))->assertOk()->getContent();
        self::assertStringContainsString('Flat on glass.', $see('draft'));
        self::assertStringNotContainsString('Flat on glass.', $see('published'));
        self::assertStringNotContainsString('Flat on glass.', (string) $this->actingAs($this->person('ragna'))->get('/courses/clinker/l-planes')->assertOk()->getContent());
    }
}

<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Activity;
use App\Models\Revision;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\HttpFoundation\Response;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** It is Tue 10 Mar 2026, 13:00 in Oslo. */
final class SetPublicationTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_a_draft_goes_live_at_its_time_and_not_before(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00', 'for the open day')->assertRedirect('/keep/courses/clinker');
        self::assertSame('The draft goes live Thu 12 Mar, 09:00, as it is now.', session('flash')['text']);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.goesLive', 'Thu 12 Mar, 09:00')->where('course.goesLiveAsIs', true));

        $this->at('2026-03-12T07:59:59Z');
        self::assertSame(1, $this->course()->liveRevision?->number);
        $this->at('2026-03-12T08:00:00Z');
        $live = $this->course()->liveRevision;
        self::assertSame([2, 'for the open day', 'Hege Strand', '2026-03-12 08:00'], [$live?->number, $live?->note, $live?->author?->name, $live?->published_at->format('Y-m-d H:i')]);
    }

    public function test_running_twice_or_a_day_late_publishes_once(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00');
        $this->at('2026-03-13T11:00:00Z');
        $this->at('2026-03-13T11:00:00Z');

        self::assertSame(2, Revision::query()->where('course_id', $this->course()->id)->count());
    }

    public function test_the_schedule_runs_it_every_minute(): void
    {
        $events = array_filter(app(Schedule::class)->events(), static fn ($event): bool => str_contains((string) $event->description, 'keep:publish-due'));

        self::assertSame(['* * * * *'], array_values(array_map(static fn ($event): string => $event->expression, $events)));
    }

    public function test_the_wall_clock_is_that_of_the_school_across_a_change_of_the_clock(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-30T09:00');

        self::assertSame('2026-03-30 07:00:00', $this->draft()->publish_at?->format('Y-m-d H:i:s'));
    }

    public function test_a_draft_that_was_changed_since_does_not_go_live_and_says_so(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00');
        $this->edit(1, 'sample', ['l-planes'], ['value' => 'yes']);
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.goesLiveAsIs', false));
        $this->at('2026-03-12T08:00:00Z');

        self::assertSame(1, $this->course()->liveRevision?->number);
        $why = 'It was to go live Thu 12 Mar, 09:00, and did not. The draft was changed after the time was set. Rehearse it as it is now, then publish it or set a time again.';
        $this->get('/keep/courses/clinker')->assertInertia(fn (Page $page) => $page->where('course.notPublished', $why)->where('course.goesLive', null));
        $this->get('/keep/courses')->assertInertia(fn (Page $page) => $page->where('courses', fn ($courses): bool => $courses->where('key', 'clinker')->value('notPublished') === true));
        self::assertSame(1, Activity::query()->where('action', 'publication.refused')->count());

        // It is not tried again, and the note goes when it was read.
        $this->at('2026-03-12T09:00:00Z');
        self::assertSame(1, Activity::query()->where('action', 'publication.refused')->count());
        $this->delete('/keep/courses/clinker/publication', ['version' => 2]);
        self::assertNull($this->draft()->publish_refused);
    }

    public function test_a_publication_meanwhile_stands_in_its_way(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00');
        $live = Revision::query()->where('course_id', $this->course()->id)->firstOrFail();
        $other = $live->replicate()->fill(['number' => 2, 'document' => str_replace('Choosing larch', 'Choosing the larch', $live->document)]);
        $other->save();
        $this->course()->update(['live_revision_id' => $other->id]);
        $this->at('2026-03-12T08:00:00Z');

        self::assertStringContainsString('Somebody else has published this course', (string) $this->draft()->publish_refused);
    }

    public function test_who_may_not_publish_any_more_does_not_publish_by_the_clock(): void
    {
        $ingrid = $this->secondAdministrator();
        $this->actingAs($ingrid)->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00');
        $ingrid->update(['role' => null]);
        $this->at('2026-03-12T08:00:00Z');

        self::assertSame(1, $this->course()->liveRevision?->number);
        self::assertStringContainsString('Ingrid Vik may not publish any more', (string) $this->draft()->publish_refused);
    }

    public function test_what_takes_something_away_is_not_set_unseen(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $this->setTime(1, '2026-03-12T09:00');
        self::assertStringContainsString('Look at the rehearsal first', session('flash')['text']);
        self::assertNull($this->draft()->publish_at);

        $this->app->forgetScopedInstances();
        $receipt = '';
        $this->get('/keep/courses/clinker/rehearsal?for=2026-03-12T09:00')->assertInertia(function (Page $page) use (&$receipt): void {
            $receipt = $page->where('setFor', '2026-03-12T09:00')->where('atWords', 'Thu 12 Mar, 09:00')->where('finished', true)->toArray()['props']['receipt'];
        });
        $this->setTime(1, '2026-03-13T09:00', receipt: $receipt);
        self::assertStringContainsString('was for another time', session('flash')['text']);
        $this->setTime(1, '2026-03-12T09:00', receipt: $receipt);
        self::assertNotNull($this->draft()->publish_at);
        // Whoever set it was shown that: nobody has to be asked again when its time comes.
        $this->at('2026-03-12T08:00:00Z');
        self::assertSame(2, $this->course()->liveRevision?->number);
    }

    public function test_what_took_nothing_when_it_was_set_and_does_by_its_time_does_not_go_live_by_itself(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        DB::table('passes')->where('course_id', $this->course()->id)->update(['state' => 'revoked']);
        DB::table('grants')->delete();
        $this->setTime(1, '2026-03-12T09:00');
        self::assertNotNull($this->draft()->publish_at);
        DB::table('passes')->where('course_id', $this->course()->id)->update(['state' => 'active']);
        $this->at('2026-03-12T08:00:00Z');
        self::assertSame(1, $this->course()->liveRevision?->number);
        self::assertStringContainsString('Look at the rehearsal first', (string) $this->draft()->publish_refused);
    }

    public function test_times_that_are_over_or_none_are_refused(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-10T13:00');
        self::assertSame('That time is over already. Choose a later one, or publish at once.', session('flash')['text']);
        $this->setTime(1, '2026-02-30T09:00')->assertSessionHasErrors('at');
        $this->setTime(1, '')->assertSessionHasErrors('at');
        $this->setTime(0, '2026-03-12T09:00');
        self::assertSame('refused', session('flash')['kind']);
        self::assertNull($this->draft()->publish_at);
    }

    public function test_a_set_time_can_be_taken_back(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->setTime(1, '2026-03-12T09:00');
        $this->delete('/keep/courses/clinker/publication', ['version' => 1]);
        $this->at('2026-03-12T08:00:00Z');

        self::assertSame(1, $this->course()->liveRevision?->number);
        self::assertSame(['publication.set', 'publication.unset'], Activity::query()->where('action', 'like', 'publication.%')->orderBy('id')->pluck('action')->all());
    }

    public function test_a_course_that_was_never_live_can_go_live_by_the_clock(): void
    {
        $this->post('/keep/courses', ['title' => 'Caulking']);
        $this->edited = 'caulking';
        $this->outline(1, ['do' => 'add', 'kind' => 'lesson', 'titles' => 'Oakum', 'item' => '']);
        $this->setTime(2, '2026-03-12T09:00');
        $this->at('2026-03-12T08:00:00Z');

        self::assertSame(1, $this->course('caulking')->liveRevision?->number);
    }

    /** @return TestResponse<Response> */
    private function setTime(int $version, string $at, ?string $note = null, ?string $receipt = null): TestResponse
    {
        return $this->put("/keep/courses/{$this->edited}/publication", ['version' => $version, 'at' => $at, 'note' => $note, 'receipt' => $receipt]);
    }

    private function at(string $instant): void
    {
        Carbon::setTestNow($instant);
        $this->app->forgetScopedInstances();
        self::assertSame(0, Artisan::call('keep:publish-due'));
    }
}

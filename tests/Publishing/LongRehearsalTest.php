<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Pass;
use App\Models\Person;
use App\Models\RehearsalRun;
use App\Publishing\Proposal;
use App\Publishing\RehearsalRuns;
use App\Publishing\RehearsalTally;
use App\Publishing\RehearseOn;
use App\Publishing\Rehearsing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\TestCase;

/** A school with more people than one step looks at. */
final class LongRehearsalTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
        $like = Pass::query()->where('course_id', $this->course()->id)->whereRelation('offer', 'key', 'apprentice-pass')->firstOrFail();
        $people = $passes = [];
        foreach (range(1, 1100) as $n) {
            $people[] = ['name' => "P {$n}", 'email' => "p{$n}@alder.test"];
        }
        Person::query()->insert($people);
        foreach (Person::query()->where('email', 'like', 'p%@alder.test')->where('name', 'like', 'P %')->pluck('id') as $id) {
            $passes[] = ['person_id' => $id, 'course_id' => $like->course_id, 'offer_id' => $like->offer_id, 'starts_at' => '2026-03-01 09:00:00', 'state' => 'active'];
        }
        foreach (array_chunk($passes, 100) as $some) {
            Pass::query()->insert($some);
        }
        $this->openAfter(0, 'm-planks', 3);
    }

    public function test_steps_add_up_to_what_one_go_finds(): void
    {
        $whole = $this->look(3600.0);
        self::assertFalse($whole->exists);
        $run = $this->kept();
        $steps = 0;
        while ($run->finished_at === null) {
            $run = app(RehearsalRuns::class)->step($run->id, 0.0) ?? self::fail('It is gone.');
            $steps++;
            self::assertLessThan(10, $steps);
        }

        // Three groups of people, one of observers.
        self::assertSame(4, $steps);
        self::assertEquals(RehearsalRuns::countOf($whole), RehearsalRuns::countOf($run));
        self::assertSame($run->of, $run->looked);
        self::assertGreaterThan(1100, $run->looked);
    }

    public function test_a_rehearsal_that_was_left_is_gone_on_with_by_the_queue(): void
    {
        $this->kept();
        self::assertSame(0, RehearsalRun::query()->value('looked'));
        Queue::assertPushed(RehearseOn::class, 1);
        // Asked for again while it is under way, it is not begun twice.
        $this->postJson('/keep/courses/clinker/rehearsal', ['for' => null])->assertOk()->assertJson(['finished' => false]);
        Queue::assertPushed(RehearseOn::class, 1);

        // A worker is killed after one step; another one goes on from there.
        app(RehearsalRuns::class)->step(RehearsalRun::query()->firstOrFail()->id, 0.0);
        self::assertSame(500, RehearsalRun::query()->value('looked'));
        (new RehearseOn(RehearsalRun::query()->firstOrFail()->id))->handle(app(RehearsalRuns::class));
        $this->postJson('/keep/courses/clinker/rehearsal', ['for' => null])->assertOk()->assertJson(['finished' => true]);
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->where('finished', true)->where('kept', true));
        self::assertSame(1, RehearsalRun::query()->count());
    }

    public function test_an_unfinished_rehearsal_gives_no_receipt(): void
    {
        $this->kept();
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->where('finished', false)->where('receipt', null));
    }

    public function test_another_edit_begins_anew(): void
    {
        $old = $this->kept();
        $this->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);
        $new = $this->kept();

        self::assertNull(app(RehearsalRuns::class)->step($old->id, 0.0));
        self::assertSame([$new->id], RehearsalRun::query()->pluck('id')->all());
    }

    public function test_what_was_reckoned_is_shown_again_for_a_while_only(): void
    {
        $first = $this->kept();
        Carbon::setTestNow('2026-03-10T12:09:00Z');
        self::assertSame($first->id, $this->look(0.0)->id);
        Carbon::setTestNow('2026-03-10T12:11:00Z');
        self::assertFalse($this->look(0.0)->exists);
    }

    public function test_many_names_are_counted_and_some_told(): void
    {
        $this->edit(1, 'tiers', ['m-start'], ['value' => []]);
        $this->app->forgetScopedInstances();
        // However slow the machine is: a page that was quick enough is looked at itself, for the next one may not be.
        for ($look = 0; $look < 100 && ($page = $this->get('/keep/courses/clinker/rehearsal')->viewData('page')['props'])['finished'] !== true; $look++) {
            $this->post('/keep/courses/clinker/rehearsal');
        }
        $lose = array_column($page['totals'] ?? [], null, 'effect')['lose'] ?? self::fail('It is finished.');
        self::assertGreaterThanOrEqual(1100, $lose->count);
        self::assertCount(RehearsalTally::NAMES, $lose->names);
    }

    /** As a page has it that waits for so long. */
    private function look(float $seconds): RehearsalRun
    {
        $this->app->forgetScopedInstances();

        return app(Rehearsing::class)->look(Proposal::draft($this->course(), $this->draft()), null, false, $seconds);
    }

    /** One that the queue is to make, and has not begun. */
    private function kept(): RehearsalRun
    {
        $this->app->forgetScopedInstances();
        Queue::fake([RehearseOn::class]);

        return app(Rehearsing::class)->begin(Proposal::draft($this->course(), $this->draft()), null);
    }
}

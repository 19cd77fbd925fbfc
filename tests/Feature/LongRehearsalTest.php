<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\GoOnRehearsing;
use App\Keep\RehearsalTally;
use App\Models\Pass;
use App\Models\Person;
use App\Models\RehearsalRun;
use Illuminate\Support\Carbon;
use Inertia\Testing\AssertableInertia as Page;
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
        $whole = $this->step(3600.0);
        self::assertFalse($whole->exists);
        $steps = 0;
        do {
            $run = $this->step(0.0);
            $steps++;
            self::assertLessThan(10, $steps);
        } while ($run->finished_at === null);

        self::assertSame(3, $steps);
        self::assertEquals(RehearsalTally::fromJson($whole->tally), RehearsalTally::fromJson($run->tally));
        self::assertSame($run->of, $run->people);
        self::assertGreaterThan(1100, $run->people);
    }

    public function test_a_rehearsal_that_was_left_is_gone_on_with(): void
    {
        $this->step(0.0);
        self::assertSame(500, RehearsalRun::query()->value('people'));
        $this->app->forgetScopedInstances();

        $this->postJson('/keep/courses/clinker/rehearsal', ['for' => null])->assertOk()->assertJson(['finished' => true]);
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->where('finished', true)->where('kept', true));
        self::assertSame(1, RehearsalRun::query()->count());
        self::assertSame($this->draft()->version, $this->draft()->rehearsed_version);
    }

    public function test_an_unfinished_rehearsal_stands_for_none(): void
    {
        $this->step(0.0);

        self::assertNull($this->draft()->rehearsed_version);
    }

    public function test_another_edit_begins_anew(): void
    {
        $this->step(0.0);
        $this->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->step(0.0);

        self::assertSame([[2, 500]], RehearsalRun::query()->get(['version', 'people'])->map(static fn (RehearsalRun $run): array => [$run->version, $run->people])->all());
    }

    public function test_what_was_reckoned_is_shown_again_for_a_while_only(): void
    {
        $this->step(0.0);
        $this->step(3600.0);
        $first = RehearsalRun::query()->firstOrFail();
        Carbon::setTestNow('2026-03-10T12:09:00Z');
        self::assertSame($first->id, $this->step(0.0)->id);
        Carbon::setTestNow('2026-03-10T12:11:00Z');
        self::assertNotSame($first->id, $this->step(0.0)->id);
    }

    public function test_many_names_are_counted_and_some_told(): void
    {
        $this->edit(1, 'tiers', ['m-start'], ['value' => []]);
        $this->app->forgetScopedInstances();
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->where('totals', static function ($totals): bool {
            $lose = $totals->where('effect', 'lose')->first();

            return $lose['count'] >= 1100 && count($lose['names']) === RehearsalTally::NAMES;
        }));
    }

    private function step(float $seconds): RehearsalRun
    {
        $this->app->forgetScopedInstances();

        return app(GoOnRehearsing::class)($this->course(), $this->draft(), null, false, $seconds);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Pass;
use App\Models\Person;
use App\Models\RehearsalPart;
use App\Models\RehearsalRun;
use App\Publishing\Parts\RehearsalParts;
use App\Publishing\Proposal;
use App\Publishing\RehearsalRuns;
use App\Publishing\RehearsalTally;
use App\Publishing\RehearseOn;
use App\Publishing\Rehearsing;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
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

        // Two whole groups of people, then those who are left with the observers.
        self::assertSame(3, $steps);
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
        app()->call([new RehearseOn(RehearsalRun::query()->firstOrFail()->id), 'handle']);
        $this->postJson('/keep/courses/clinker/rehearsal', ['for' => null])->assertOk()->assertJson(['finished' => true]);
        $this->get('/keep/courses/clinker/rehearsal')->assertInertia(fn (Page $page) => $page->where('finished', true)->where('kept', true));
        self::assertSame(1, RehearsalRun::query()->count());
    }

    public function test_parts_find_together_what_one_go_finds_in_whatever_turn_they_are_looked_at(): void
    {
        $whole = $this->look(3600.0);
        $run = $this->inParts();
        $parts = app(RehearsalParts::class);
        $ids = $run->parts->modelKeys();
        self::assertGreaterThan(4, count($ids));
        // The last one first, each stopped after every group, and looked at by two at once: another worker overtakes this one while it reads.
        $overtaken = false;
        DB::listen(static function (QueryExecuted $query) use (&$overtaken, $parts, $ids): void {
            if (! $overtaken && str_contains($query->sql, 'from "people"')) {
                $overtaken = true;
                $parts->step($ids[count($ids) - 2], 0.0);
            }
        });
        $left = array_reverse($ids);
        for ($turn = 0; $left !== []; $turn++) {
            self::assertLessThan(30, $turn);
            self::assertNull($run->refresh()->finished_at);
            $left = array_values(array_filter($left, static fn (int $id): bool => $parts->step($id, 0.0)));
        }

        $run->refresh();
        self::assertTrue($overtaken);
        self::assertNotNull($run->finished_at);
        self::assertSame($whole->looked, $run->looked);
        self::assertSame(self::found($whole->people), self::found($run->people), 'people');
        self::assertSame(self::found($whole->observers), self::found($run->observers), 'observers');
        self::assertFalse($parts->step($ids[0], 0.0));
    }

    public function test_whoever_is_late_undoes_nothing_of_what_another_has_found(): void
    {
        $run = $this->kept();
        $part = $run->parts()->create(['phase' => 'people', 'last_id' => 0, 'up_to' => null, 'tally' => RehearsalTally::none()->toJson()]);
        $parts = app(RehearsalParts::class);
        $overtaken = false;
        DB::listen(static function (QueryExecuted $query) use (&$overtaken, $parts, $part): void {
            if (! $overtaken && str_contains($query->sql, 'from "people"')) {
                $overtaken = true;
                $parts->step($part->id, 3600.0);
            }
        });
        $parts->step($part->id, 0.0);
        self::assertTrue($overtaken);
        self::assertNotNull($part->refresh()->finished_at);
        self::assertSame($part->looked, $run->refresh()->looked);
        self::assertGreaterThan(1100, $part->looked);
    }

    public function test_what_parts_have_found_so_far_is_told_and_counted(): void
    {
        $run = $this->inParts();
        $told = fn (): array => $this->postJson('/keep/courses/clinker/rehearsal', ['for' => null])->assertOk()->json();
        self::assertSame([0, false, []], [$told()['looked'], $told()['finished'], $told()['totals']]);
        app(RehearsalParts::class)->step($run->parts[1]->id ?? 0, 0.0);
        $first = $told();
        self::assertGreaterThan(0, $first['looked']);
        self::assertSame(['sooner'], array_column($first['totals'], 'effect'));
        self::assertSame([], $first['totals'][0]['people']);
        app(RehearsalParts::class)->step($run->parts[2]->id ?? 0, 0.0);
        self::assertGreaterThan($first['looked'], $told()['looked']);
        self::assertGreaterThan($first['totals'][0]['count'], $told()['totals'][0]['count']);
    }

    public function test_each_part_is_a_job_of_its_own_and_none_is_begun_for_few(): void
    {
        $this->kept();
        Queue::assertPushed(RehearseOn::class, 1);
        self::assertSame(0, RehearsalPart::query()->count());
        $this->app->forgetScopedInstances();
        $parts = app(RehearsalParts::class)->cut($this->course(), worth: 200);
        self::assertSame([...array_fill(0, count($parts) - 1, 'people'), 'observers'], array_map(static fn (RehearsalPart $part): string => $part->phase, $parts));
        self::assertNull($parts[count($parts) - 1]->up_to);
    }

    public function test_parts_of_a_draft_that_was_edited_meanwhile_are_gone_with_it(): void
    {
        $run = $this->inParts();
        $this->edit(1, 'sample', ['l-timber'], ['value' => 'yes']);
        self::assertFalse(app(RehearsalParts::class)->step($run->parts[0]->id ?? 0, 0.0));
        self::assertSame([0, 0], [RehearsalRun::query()->count(), RehearsalPart::query()->count()]);
    }

    /** @return array{int, string, int} how many there are, who they are and where, and how many lose something */
    private static function found(string $tally): array
    {
        $found = RehearsalTally::fromJson($tally);
        $who = [];
        foreach (['in all' => $found->touched, ...$found->items] as $item => $counts) {
            foreach ($counts as $effect => [$count, $ids]) {
                sort($ids);
                $who[] = "{$item} {$effect} {$count} ".md5(implode(' ', $ids));
            }
        }

        return [$found->people, implode("\n", $who), $found->losers];
    }

    /** One that is not begun yet, of two hundred people a part. */
    private function inParts(): RehearsalRun
    {
        $run = $this->kept();
        $run->parts()->saveMany(app(RehearsalParts::class)->cut($this->course(), worth: 200));

        return $run->load('parts');
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

<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Label;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\ShopEvent;
use App\Models\TriggerRun;
use App\Triggers\Runs\PerformRun;
use App\Triggers\Runs\SetOff;
use App\Triggers\SaveTrigger;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\TriggerSpec;
use App\Triggers\Spec\When;
use App\Triggers\TryTrigger;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** Each time that something set a trigger off: once, in the right order of steps, whatever the order of events. */
final class RunsTest extends TestCase
{
    use SetsTriggersOff;

    public function test_of_what_came_about_before_it_was_on_or_while_it_was_off_nothing_is_done(): void
    {
        $this->act('label', ['eira'], ['label' => 'go']);
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $trigger = $this->on(new When('label-given', label: 'go'));
        self::assertSame([], $this->ran('2026-03-10T13:05:00Z'));
        app(SaveTrigger::class)->switch($trigger, false, 2, $this->person('hege'));
        $this->act('label', ['ragna'], ['label' => 'go']);
        self::assertSame([], $this->ran('2026-03-10T13:10:00Z'));
        app(SaveTrigger::class)->switch($trigger->refresh(), true, 3, $this->person('hege'));
        self::assertSame([], $this->ran('2026-03-10T13:15:00Z'));
        $this->act('label', ['ylva'], ['label' => 'go']);
        self::assertSame(['ylva got the label go'], $this->ran('2026-03-10T13:20:00Z'));
    }

    public function test_the_same_event_ten_times_and_in_reverse_order_does_its_work_once(): void
    {
        $this->on(new When('refunded'), new Only, new Step('give-label', label: 'refunded'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $purchase = Purchase::query()->create(['person_id' => $this->person('eira')->id, 'offer_id' => Offer::query()->where('key', 'frames-pass')->firstOrFail()->id, 'cents' => 100, 'currency' => 'EUR', 'every' => 'month', 'paid_until' => now(), 'bought_at' => now()]);
        foreach (range(10, 1) as $number) {
            ShopEvent::query()->create(['event' => "e{$number}", 'purchase_id' => $purchase->id, 'kind' => 'refund', 'did' => 'x', 'received_at' => now()->subMinutes($number)]);
            $this->ran('2026-03-10T13:00:30Z');
        }
        self::assertSame([1, 1], [TriggerRun::query()->count(), Label::query()->where('label', 'refunded')->count()]);
    }

    public function test_two_workers_at_once_do_it_once(): void
    {
        $this->on(new When('label-given', label: 'go'), new Only, new Step('extend-pass', offer: 'apprentice-pass', days: 10));
        $ends = $this->pass('eira')->ends_at;
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira'], ['label' => 'go']);
        Carbon::setTestNow('2026-03-10T13:01:00Z');
        self::assertSame([1, 0], [app(SetOff::class)(), app(SetOff::class)()]);
        $perform = app(PerformRun::class);
        $mine = $perform->take(10);
        self::assertCount(1, $mine);
        self::assertSame([], $perform->take(10), 'What one has taken no other takes.');
        // And if both had it all the same:
        $perform($mine[0]);
        $perform(TriggerRun::query()->with(['trigger', 'person'])->sole()->forceFill(['did' => []]));
        self::assertSame($ends?->modify('+10 days')->getTimestamp(), $this->pass('eira')->ends_at?->getTimestamp());
    }

    public function test_a_worker_that_is_stopped_between_two_steps_leaves_nothing_half_done_and_another_goes_on(): void
    {
        $this->on(new When('label-given', label: 'go'), new Only, new Step('extend-pass', offer: 'apprentice-pass', days: 10), new Step('write', subject: 'Longer', body: 'x'), new Step('give-label', label: 'set-off'));
        $ends = $this->pass('eira')->ends_at;
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira'], ['label' => 'go']);
        Carbon::setTestNow('2026-03-10T13:01:00Z');
        app(SetOff::class)();
        // As it is after the second act is in force, and before that is noted.
        $run = app(PerformRun::class)->take(1)[0];
        app(PerformRun::class)($run);
        Label::query()->where('label', 'set-off')->delete();
        DB::table('people_acts')->where('once', "trigger-run-{$run->id}-2")->delete();
        TriggerRun::query()->whereKey($run->id)->update(['state' => 'waiting', 'due_at' => '2026-03-10 13:06:00', 'did' => json_encode([$run->did[0]])]);
        $this->ran('2026-03-10T13:10:00Z');
        self::assertSame('done', $run->refresh()->state);
        self::assertCount(3, $run->did);
        self::assertSame($ends?->modify('+10 days')->getTimestamp(), $this->pass('eira')->ends_at?->getTimestamp());
        self::assertSame([1, 1], [Message::query()->where('subject', 'Longer')->count(), Label::query()->where('label', 'set-off')->count()]);
    }

    public function test_what_fails_is_tried_again_with_growing_waits_and_by_hand(): void
    {
        $this->on(new When('label-given', label: 'go'), new Only, new Step('give-label', label: 'set-off'), new Step('hand-out', course: 'clinker', item: 'nowhere'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        $waits = [];
        while (($run = TriggerRun::query()->sole())->state === 'waiting') {
            $waits[] = ($run->due_at?->getTimestamp() ?? 0) - now()->getTimestamp();
            $this->ran(($run->due_at ?? now())->format(DATE_ATOM));
        }
        self::assertSame([60, 300, 1800, 7200, 21600], $waits);
        self::assertSame(['failed', 'The row nowhere is not published any more.', 1], [$run->state, $run->problem, Label::query()->where('label', 'set-off')->count()]);
        self::assertTrue(app(PerformRun::class)->takeUpAgain($run));
        self::assertFalse(app(PerformRun::class)->takeUpAgain($run));
        self::assertSame('waiting', $run->refresh()->state);
    }

    public function test_triggers_that_set_each_other_off_are_stopped_and_say_so(): void
    {
        $this->on(new When('label-given', label: 'a'), new Only, new Step('take-label', label: 'a'), new Step('give-label', label: 'b'));
        $this->on(new When('label-given', label: 'b'), new Only, new Step('take-label', label: 'b'), new Step('give-label', label: 'a'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira'], ['label' => 'a']);
        for ($minute = 1; $minute < 30; $minute++) {
            $this->ran(sprintf('2026-03-10T13:%02d:00Z', $minute));
        }
        self::assertSame(SetOff::MOST_AN_HOUR * 2, TriggerRun::query()->where('state', 'done')->count());
        self::assertStringStartsWith('Stopped: it was set off for them more than 5 times', (string) TriggerRun::query()->where('state', 'stopped')->sole()->problem);
    }

    public function test_nothing_is_done_for_who_runs_the_school_or_is_not_shown_to_be_anybody(): void
    {
        $this->on(new When('label-given', label: 'go'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $stranger = PersonFactory::new()->createOne(['email' => 'x@unconfirmed.invalid', 'claimed_email' => 'eira@alder.test']);
        $this->post('/keep/people/acts', ['do' => 'label', 'people' => [$stranger->id, $this->person('hege')->id, $this->person('eira')->id], 'label' => 'go']);
        self::assertSame(['eira got the label go'], $this->ran('2026-03-10T13:01:00Z'));
        // Once the address is shown to be theirs it is done.
        $stranger->update(['email' => 'stranger@alder.test', 'claimed_email' => null]);
        self::assertSame(['stranger got the label go'], $this->ran('2026-03-11T13:01:00Z'));
    }

    public function test_it_is_tried_on_somebody_without_doing_it_and_rehearsed_on_the_last_thirty_days(): void
    {
        $spec = new TriggerSpec(new When('finished', course: 'clinker', item: 'l-welcome'), new Only(notLabel: 'oar-bonus'), [new Step('give-pass', offer: 'taster'), new Step('write', subject: 'Hi', body: 'x')]);
        [$against, $steps] = app(TryTrigger::class)->on($spec, 'First', $this->person('jonas'));
        self::assertNull($against);
        self::assertCount(2, $steps);
        self::assertStringStartsWith('Give Taster from', $steps[0]);
        self::assertSame(['They have the label oar-bonus.', []], app(TryTrigger::class)->on($spec, 'First', $this->person('jorunn')));
        self::assertSame([0, 0], [Pass::query()->where('person_id', $this->person('jonas')->id)->count(), Message::query()->count()]);
        $lately = app(TryTrigger::class)->lately($spec);
        self::assertNotSame([], $lately);
        self::assertSame(count($lately), \App\Models\Completion::query()->where('course_id', $this->course()->id)->where('item_key', 'l-welcome')->where('completed_at', '>=', '2026-02-08 12:00:00')->count());
    }

    public function test_a_run_is_done_as_the_trigger_was_when_it_was_noted(): void
    {
        $trigger = $this->on(new When('label-given', label: 'go'));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira'], ['label' => 'go']);
        Carbon::setTestNow('2026-03-10T13:01:00Z');
        app(SetOff::class)();
        self::assertTrue(app(SaveTrigger::class)->change($trigger, 'Other', new TriggerSpec(new When('label-given', label: 'go'), new Only, [new Step('give-label', label: 'other')]), 2, $this->person('hege')));
        self::assertFalse(app(SaveTrigger::class)->switch($trigger, false, 2, $this->person('hege')), 'Somebody else was there meanwhile.');
        $this->ran('2026-03-10T13:02:00Z');
        self::assertSame(['set-off'], Label::query()->whereIn('label', ['set-off', 'other'])->pluck('label')->all());
    }

    public function test_the_queries_do_not_grow_with_what_came_about(): void
    {
        $this->on(new When('label-given', label: 'go'));
        $count = function (int $people): int {
            $ids = PersonFactory::new()->count($people)->create();
            self::assertInstanceOf(\Illuminate\Support\Collection::class, $ids);
            $this->post('/keep/people/acts', ['do' => 'label', 'people' => $ids->pluck('id')->all(), 'label' => 'go'])->assertSessionHasNoErrors();
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            self::assertSame($people, app(SetOff::class)());
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $few = $count(2);
        Carbon::setTestNow('2026-03-10T13:30:00Z');
        self::assertSame($few, $count(40));
    }
}

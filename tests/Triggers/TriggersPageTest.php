<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Activity;
use App\Models\Form;
use App\Models\Label;
use App\Models\OutsideSystem;
use App\Models\Trigger;
use App\Models\TriggerRun;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Triggers as somebody who runs the school makes, tries and looks after them. */
final class TriggersPageTest extends TestCase
{
    use SetsTriggersOff;

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function form(array $with = []): array
    {
        return ['version' => 0, 'name' => 'Surprise', 'when' => ['event' => 'finished', 'course' => 'clinker', 'item' => 'm-tools'], 'only' => [], 'steps' => [['do' => 'hand-out', 'course' => 'clinker', 'item' => 'l-garboard', 'days' => 14]], ...$with];
    }

    private function sentence(int $index = 0): string
    {
        $this->inAnotherProcess();
        $segments = $this->get('/keep/triggers')->assertOk()->inertiaProps("triggers.{$index}.sentence.segments");

        return implode('', array_column(is_array($segments) ? $segments : [], 'text'));
    }

    public function test_it_is_made_off_and_reads_as_a_sentence(): void
    {
        $this->post('/keep/triggers', self::form(['only' => ['notLabel' => 'keen', 'holds' => 'apprentice-pass']]))->assertSessionHasNoErrors();
        self::assertFalse(Trigger::query()->sole()->on);
        self::assertSame('When Tools and timber is finished, if they do not have the label keen and hold a pass of Apprentice pass, hand out The garboard for 14 days.', $this->sentence());
    }

    /** @return array<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function sentences(): array
    {
        return [
            'an account' => [['event' => 'account-made'], ['do' => 'give-pass', 'offer' => 'taster'], 'When an account is made, give Taster.'],
            'any offer' => [['event' => 'offer-taken'], ['do' => 'give-label', 'label' => 'buyer'], 'When any offer is taken, give the label buyer.'],
            'an end to come' => [['event' => 'pass-ends-in', 'offer' => 'yard-trial', 'days' => 3], ['do' => 'write', 'subject' => 'Soon', 'body' => 'x'], 'When a pass of Yard trial ends in 3 days, write Soon.'],
            'a band' => [['event' => 'quiz-scored', 'course' => 'clinker', 'item' => 'l-timber', 'from' => 40, 'to' => 70], ['do' => 'take-label', 'label' => 'x'], 'When the quiz of Choosing larch comes to 40 % to 70 %, take the label x.'],
            'a low band' => [['event' => 'quiz-scored', 'course' => 'clinker', 'item' => 'l-timber', 'to' => 40], ['do' => 'give-label', 'label' => 'x', 'days' => 1], 'When the quiz of Choosing larch comes to less than 40 %, give the label x for 1 day.'],
            'a high band' => [['event' => 'quiz-scored', 'course' => 'clinker', 'item' => 'l-timber', 'from' => 70], ['do' => 'end-pass', 'offer' => 'taster'], 'When the quiz of Choosing larch comes to 70 % or more, end Taster.'],
            'a course' => [['event' => 'course-finished', 'course' => 'clinker'], ['do' => 'extend-pass', 'offer' => 'apprentice-pass', 'days' => 30], 'When all of Clinker planking is finished, extend Apprentice pass by 30 days.'],
            'samples' => [['event' => 'only-samples', 'days' => 5], ['do' => 'hand-out', 'course' => 'clinker', 'item' => 'l-planes'], 'When somebody has only looked at samples for 5 days, hand out Tuning a plane for good.'],
        ];
    }

    /**
     * @param  array<string, mixed>  $when
     * @param  array<string, mixed>  $step
     */
    #[DataProvider('sentences')]
    public function test_each_kind_reads_as_a_sentence(array $when, array $step, string $sentence): void
    {
        $this->post('/keep/triggers', self::form(['when' => $when, 'steps' => [$step]]))->assertSessionHasNoErrors();
        self::assertSame($sentence, $this->sentence());
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        $step = static fn (array $step): array => ['steps' => [$step]];

        return [
            'no name' => [['name' => ' '], 'name'],
            'no event' => [['when' => []], 'when.event'],
            'an event that is none' => [['when' => ['event' => 'full-moon']], 'when.event'],
            'no row' => [['when' => ['event' => 'finished', 'course' => 'clinker']], 'when.item'],
            'a row of another course' => [['when' => ['event' => 'finished', 'course' => 'sails', 'item' => 'm-tools']], 'when.item'],
            'no course' => [['when' => ['event' => 'course-finished']], 'when.course'],
            'no label' => [['when' => ['event' => 'label-given', 'label' => ' ']], 'when.label'],
            'no days' => [['when' => ['event' => 'only-samples']], 'when.days'],
            'no day' => [['when' => ['event' => 'only-samples', 'days' => 0]], 'when.days'],
            'an offer that is none' => [['when' => ['event' => 'offer-taken', 'offer' => 'nothing']], 'when.offer'],
            'nothing done' => [['steps' => []], 'steps'],
            'a step that is none' => [$step(['do' => 'dance']), 'steps.0.do'],
            'a pass of nothing' => [$step(['do' => 'give-pass']), 'steps.0.offer'],
            'a row that is not there' => [$step(['do' => 'hand-out', 'course' => 'clinker', 'item' => 'nowhere']), 'steps.0.item'],
            'an extension of nothing' => [$step(['do' => 'extend-pass', 'offer' => 'taster']), 'steps.0.days'],
            'a letter without words' => [$step(['do' => 'write', 'subject' => 'Hello']), 'steps.0.body'],
            'a condition on no offer' => [['only' => ['holds' => 'nothing']], 'only.holds'],
            'lists for words' => [['only' => ['label' => ['x']]], 'only.label'],
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('refused')]
    public function test_what_is_no_trigger_is_refused_at_its_field(array $with, string $field): void
    {
        $this->post('/keep/triggers', self::form($with))->assertSessionHasErrors($field);
        self::assertSame(0, Trigger::query()->count());
    }

    public function test_what_its_kinds_do_not_take_is_not_kept(): void
    {
        $this->post('/keep/triggers', self::form(['when' => ['event' => 'account-made', 'course' => 'clinker', 'days' => 3], 'steps' => [['do' => 'give-label', 'label' => 'x', 'offer' => 'taster', 'subject' => 'y']]]))->assertSessionHasNoErrors();
        self::assertSame(['when' => ['event' => 'account-made'], 'only' => [], 'then' => [['do' => 'give-label', 'label' => 'x']]], Trigger::query()->sole()->spec);
    }

    public function test_it_is_tried_without_being_kept(): void
    {
        $told = $this->postJson('/keep/triggers/try', [...self::form(), 'name' => '', 'person' => $this->person('jonas')->id])->assertOk();
        self::assertSame(['Jonas Wren', null], [$told->json('person'), $told->json('against')]);
        self::assertCount(1, (array) $told->json('steps'));
        $told = $this->postJson('/keep/triggers/try', self::form(['only' => ['label' => 'nobody'], 'person' => $this->person('jonas')->id]))->assertOk();
        self::assertSame(['They do not have the label nobody.', []], [$told->json('against'), $told->json('steps')]);
        // What is not whole yet is no mistake while one types.
        self::assertSame(['when.item', 'only.label', 'steps.0.label'], array_column((array) $this->postJson('/keep/triggers/try', [...self::form(['only' => ['label' => 'nobody']]), 'when' => ['event' => 'finished', 'course' => 'clinker', 'item' => 'm-tools'], 'steps' => [['do' => 'give-label', 'label' => 'x']]])->json('sentence.segments'), 'of'), 'Each word that can be set says where.');
        self::assertSame('null', $this->postJson('/keep/triggers/try', self::form(['steps' => []]))->assertOk()->getContent());
        self::assertSame([0, 0], [Trigger::query()->count(), TriggerRun::query()->count()]);
    }

    public function test_two_who_change_it_at_once_do_not_write_over_each_other(): void
    {
        $this->post('/keep/triggers', self::form());
        $id = Trigger::query()->sole()->id;
        $this->put("/keep/triggers/{$id}", self::form(['version' => 1, 'name' => 'Other']))->assertSessionHas('flash.kind', 'done');
        $this->put("/keep/triggers/{$id}", self::form(['version' => 1, 'name' => 'Third']))->assertSessionHas('flash.kind', 'refused');
        $this->put("/keep/triggers/{$id}/switch", ['version' => 1, 'on' => true])->assertSessionHas('flash.kind', 'refused');
        $this->put("/keep/triggers/{$id}/switch", ['version' => 2, 'on' => true])->assertSessionHas('flash.kind', 'done');
        self::assertSame(['Other', true], [Trigger::query()->sole()->name, Trigger::query()->sole()->on]);
        $this->delete("/keep/triggers/{$id}")->assertRedirect('/keep/triggers');
        self::assertSame(['trigger.made', 'trigger.changed', 'trigger.switched-on', 'trigger.let-go'], Activity::query()->where('action', 'like', 'trigger.%')->orderBy('id')->pluck('action')->all());
    }

    public function test_its_runs_are_listed_with_what_they_did_and_taken_back_in_one_step(): void
    {
        $this->post('/keep/triggers', self::form(['when' => ['event' => 'label-given', 'label' => 'go'], 'steps' => [['do' => 'give-label', 'label' => 'a'], ['do' => 'give-pass', 'offer' => 'taster']]]));
        $id = Trigger::query()->sole()->id;
        $this->put("/keep/triggers/{$id}/switch", ['version' => 1, 'on' => true]);
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['gro'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        $page = $this->get("/keep/triggers?open={$id}")->assertInertia(fn ($page) => $page->where('open.runs.0.name', 'Gro Tangen')->where('open.runs.0.cause', 'got the label go')->where('open.runs.0.state', 'done')->where('open.runs.0.canBeTakenBack', true)->where('triggers.0.days.29', 1));
        self::assertCount(2, (array) $page->inertiaProps('open.runs.0.did'));
        // Their history names it.
        $this->get('/keep/people/'.$this->person('gro')->id)->assertInertia(fn ($page) => $page->where('passes.0.source', 'by Surprise'));
        $run = TriggerRun::query()->sole()->id;
        $this->delete("/keep/triggers/runs/{$run}")->assertSessionHas('flash.kind', 'done');
        $this->delete("/keep/triggers/runs/{$run}")->assertSessionHas('flash.kind', 'refused');
        self::assertSame([0, 'taken back'], [Label::query()->where('label', 'a')->count(), TriggerRun::query()->sole()->state]);
        self::assertSame([], $this->ran('2026-03-10T13:05:00Z'), 'What is taken back is not done again.');
    }

    public function test_whoever_helps_people_sees_them_and_changes_nothing(): void
    {
        $this->post('/keep/triggers', self::form());
        $id = Trigger::query()->sole()->id;
        $this->actingAs($this->person('aksel'));
        $this->get("/keep/triggers?open={$id}")->assertOk()->assertInertia(fn ($page) => $page->where('mayEdit', false));
        $this->post('/keep/triggers', self::form(['name' => 'Mine']))->assertForbidden();
        $this->postJson('/keep/triggers/try', self::form())->assertForbidden();
        $this->put("/keep/triggers/{$id}/switch", ['version' => 1, 'on' => true])->assertForbidden();
        $this->delete("/keep/triggers/{$id}")->assertForbidden();
        $this->actingAs($this->person('eira'))->get('/keep/triggers')->assertNotFound();
    }

    public function test_the_list_asks_as_often_however_many_triggers_there_are(): void
    {
        $form = Form::query()->create(['name' => 'A look', 'token' => str_repeat('a', 20), 'text' => '', 'thanks' => '']);
        $system = OutsideSystem::query()->create(['name' => 'The ledger', 'address' => 'https://ledger.test/', 'secret' => 'x']);
        $queries = function (int $more) use ($form, $system): int {
            foreach (range(1, $more) as $number) {
                $this->on(new When('form-sent', form: $form->id), new Only, new Step('tell', outside: $system->id), new Step('give-pass', offer: 'taster'));
            }
            $this->inAnotherProcess();
            DB::flushQueryLog();
            DB::enableQueryLog();
            self::assertStringContainsString('When the form A look is sent, tell The ledger and give Taster.', $this->sentence());
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        // From the first time on it is kept what the courses are called.
        $queries(1);
        $few = $queries(2);
        self::assertSame($few, $queries(20));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Grant;
use App\Models\Label;
use App\Models\ListContact;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\TriggerRun;
use App\People\MakePass;
use App\Triggers\Spec\Only;
use App\Triggers\Spec\Step;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What triggers do, for whom, and that it is taken back. */
final class StepsTest extends TestCase
{
    use SetsTriggersOff;

    /** @return array<string, array{Step, \Closure(self): bool, bool}> step, whether it is done, whether it can be taken back */
    public static function steps(): array
    {
        return [
            'gives a pass' => [new Step('give-pass', offer: 'taster'), static fn (self $test): bool => Pass::query()->where('person_id', $test->person('gro')->id)->where('state', 'active')->where('source', 'by T0')->whereRelation('offer', 'key', 'taster')->exists(), true],
            'hands a row out for some days' => [new Step('hand-out', course: 'clinker', item: 'l-garboard', days: 14), static fn (self $test): bool => Grant::query()->where('person_id', $test->person('gro')->id)->where('item_key', 'l-garboard')->where('ends_at', 'like', '2026-03-24%')->exists(), true],
            'hands a row out for good' => [new Step('hand-out', course: 'clinker', item: 'l-garboard'), static fn (self $test): bool => Grant::query()->where('person_id', $test->person('gro')->id)->whereNull('ends_at')->exists(), true],
            'gives a label for a time' => [new Step('give-label', label: 'x', days: 30), static fn (self $test): bool => Label::query()->where('person_id', $test->person('gro')->id)->where('label', 'x')->where('ends_at', 'like', '2026-04-09%')->exists(), true],
            'takes a label' => [new Step('take-label', label: 'gone'), static fn (self $test): bool => Label::query()->where('person_id', $test->person('gro')->id)->where('label', 'gone')->doesntExist(), true],
            'extends a pass' => [new Step('extend-pass', offer: 'apprentice-pass', days: 10), static fn (self $test): bool => (string) Pass::query()->where('person_id', $test->person('gro')->id)->whereRelation('offer', 'key', 'apprentice-pass')->max('ends_at') > '2026-03-15', true],
            'puts them on the mailing list' => [new Step('join-list', label: 'news'), static fn (self $test): bool => ListContact::query()->where('person_id', $test->person('gro')->id)->where('label', 'news')->where('source', 'by T0')->exists(), true],
            'pauses a pass' => [new Step('pause-pass', offer: 'frames-pass'), static fn (self $test): bool => Pass::query()->where('person_id', $test->person('gro')->id)->whereRelation('offer', 'key', 'frames-pass')->where('state', 'paused')->exists(), true],
            'ends a pass' => [new Step('end-pass', offer: 'frames-pass'), static fn (self $test): bool => Pass::query()->where('person_id', $test->person('gro')->id)->whereRelation('offer', 'key', 'frames-pass')->where('ends_at', '<=', '2026-03-10 14:00:00')->exists(), true],
            'writes a letter' => [new Step('write', subject: 'Hello {name}', body: 'Come back.'), static fn (self $test): bool => Message::query()->where('to', 'gro@alder.test')->where('subject', 'Hello Gro Tangen')->where('state', 'sent')->count() === 1, false],
        ];
    }

    /** @param  \Closure(self): bool  $isDone */
    #[DataProvider('steps')]
    public function test_each_step_is_done_and_taken_back(Step $step, \Closure $isDone, bool $canBeTakenBack): void
    {
        Label::query()->create(['person_id' => $this->person('gro')->id, 'label' => 'gone', 'source' => 'by hand']);
        app(MakePass::class)($this->person('gro'), Offer::query()->where('key', 'frames-pass')->firstOrFail(), now()->getTimestamp());
        $this->on(new When('label-given', label: 'go'), new Only, $step);
        self::assertFalse($isDone($this));
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['gro'], ['label' => 'go']);
        self::assertSame(['gro got the label go'], $this->ran('2026-03-10T13:01:00Z'));
        self::assertTrue($isDone($this));
        $run = TriggerRun::query()->sole();
        self::assertSame('done', $run->state);
        app(\App\Triggers\Runs\TakeRunBack::class)($run, $this->person('hege'));
        self::assertSame(! $canBeTakenBack, $isDone($this), 'Letters that were written stay written.');
        $this->expectException(\App\People\Acts\CannotAct::class);
        app(\App\Triggers\Runs\TakeRunBack::class)($run->refresh(), $this->person('hege'));
    }

    public function test_every_kind_of_step_is_tried(): void
    {
        // Telling systems of others has a test of its own.
        self::assertEqualsCanonicalizing(array_column(StepKind::cases(), 'value'), ['tell', ...array_values(array_unique(array_map(static fn (array $one): string => $one[0]->do, self::steps())))]);
    }

    /** @return array<string, array{Only, list<string>}> */
    public static function conditions(): array
    {
        return [
            'none' => [new Only, ['eira', 'jonas', 'jorunn']],
            'a label' => [new Only(label: 'oar-bonus'), ['jorunn']],
            'not a label' => [new Only(notLabel: 'oar-bonus'), ['eira', 'jonas']],
            'a pass' => [new Only(holds: 'apprentice-pass'), ['eira']],
            'no pass' => [new Only(notHolds: 'apprentice-pass'), ['jonas', 'jorunn']],
            'a pass of a course' => [new Only(holdsCourse: 'clinker'), ['eira', 'jorunn']],
            'a lesson finished' => [new Only(row: 'done', course: 'clinker', item: 'l-planes'), ['jorunn']],
            'a lesson not finished' => [new Only(row: 'not-done', course: 'clinker', item: 'l-planes'), ['eira', 'jonas']],
            'a module finished' => [new Only(row: 'done', course: 'clinker', item: 'm-start'), ['eira', 'jorunn']],
            'a row that is open to them' => [new Only(row: 'open', course: 'clinker', item: 'l-planes'), ['eira', 'jorunn']],
            'a row that is not' => [new Only(row: 'not-open', course: 'clinker', item: 'l-garboard'), ['eira', 'jonas', 'jorunn']],
            'a row that is gone' => [new Only(row: 'open', course: 'clinker', item: 'gone'), []],
            'both' => [new Only(notLabel: 'oar-bonus', notHolds: 'apprentice-pass'), ['jonas']],
        ];
    }

    /** @param  list<string>  $for */
    #[DataProvider('conditions')]
    public function test_it_is_done_for_those_alone_of_whom_it_is_so(Only $only, array $for): void
    {
        $this->on(new When('label-given', label: 'go'), $only);
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->act('label', ['eira', 'jonas', 'jorunn'], ['label' => 'go']);
        $this->ran('2026-03-10T13:01:00Z');
        self::assertEqualsCanonicalizing($for, array_map(static fn (Person $person): string => explode('@', $person->email)[0], Person::query()->whereIn('id', Label::query()->where('label', 'set-off')->select('person_id'))->get()->all()));
        self::assertSame(3 - count($for), TriggerRun::query()->where('state', 'left')->whereNotNull('problem')->count());
    }
}

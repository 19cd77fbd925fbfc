<?php

declare(strict_types=1);

namespace Tests\Triggers;

use App\Models\Content;
use App\Models\Form;
use App\Models\ItemVisit;
use App\Models\Label;
use App\Models\Offer;
use App\Models\OutsideSystem;
use App\Models\Pass;
use App\Models\Purchase;
use App\Models\TriggerRun;
use App\Offers\Sales\ShopEvents;
use App\People\MakePass;
use App\Triggers\Outside\TakeEvent;
use App\Triggers\Spec\EventKind;
use App\Triggers\Spec\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\CompletionFactory;
use Tests\Factories\QuizTryFactory;
use Tests\TestCase;

/** What sets triggers off: each kind of event, once. */
final class EventsTest extends TestCase
{
    use SetsTriggersOff;

    /** @return array<string, array{When, \Closure(self): mixed, list<string>}> what, how it comes about after one o'clock, who was set off by what */
    public static function events(): array
    {
        $buy = static fn (self $test, string $who, string $offer): Purchase => Purchase::query()->create(['person_id' => $test->person($who)->id, 'offer_id' => Offer::query()->where('key', $offer)->firstOrFail()->id, 'cents' => 100, 'currency' => 'EUR', 'bought_at' => now()]);

        return [
            'an account is made' => [new When('account-made'), static fn (self $test) => $test->post('/keep/people', ['name' => 'Alva', 'email' => 'alva@alder.test', 'labels' => ''])->assertSessionHasNoErrors(), ['alva came in']],
            'a form is sent' => [new When('form-sent', form: 1), static function (self $test): void {
                Form::query()->create(['id' => 1, 'name' => 'A look', 'token' => str_repeat('a', 20), 'text' => '', 'thanks' => '']);
                $test->actingAs($test->person('jonas'))->post('/forms/'.str_repeat('a', 20), ['once' => (string) Str::uuid()])->assertSessionHasNoErrors();
            }, ['jonas sent the form A look']],
            'any offer is taken' => [new When('offer-taken'), static function (self $test) use ($buy): void {
                $buy($test, 'jonas', 'apprentice-pass');
                $buy($test, 'eira', 'frames-pass');
            }, ['jonas took Apprentice pass', 'eira took Frames pass']],
            'one offer is taken' => [new When('offer-taken', offer: 'frames-pass'), static function (self $test) use ($buy): void {
                $buy($test, 'jonas', 'apprentice-pass');
                $buy($test, 'eira', 'frames-pass');
            }, ['eira took Frames pass']],
            'a payment is missed' => [new When('payment-missed', offer: 'frames-pass'), static function (self $test) use ($buy): void {
                $purchase = $buy($test, 'eira', 'frames-pass');
                $purchase->update(['every' => 'month', 'paid_until' => now()]);
                app(ShopEvents::class)->receive('e1', $purchase->id, 'missed', 2);
            }, ['eira a payment of Frames pass did not come']],
            'a membership is paid for again' => [new When('offer-renewed', offer: 'frames-pass'), static function (self $test) use ($buy): void {
                $purchase = $buy($test, 'eira', 'frames-pass');
                $purchase->update(['every' => 'month', 'paid_until' => now()]);
                foreach (['e1' => 1, 'e2' => 2, 'e2 again' => 2, 'e3' => null] as $event => $payment) {
                    app(ShopEvents::class)->receive($event, $purchase->id, 'payment', $payment);
                }
            }, ['eira renewed Frames pass', 'eira renewed Frames pass']],
            'what is paid for once is bought again' => [new When('offer-renewed'), static function (self $test) use ($buy): void {
                $buy($test, 'eira', 'frames-pass');
                $buy($test, 'eira', 'frames-pass');
                $buy($test, 'eira', 'apprentice-pass');
                $buy($test, 'jonas', 'frames-pass');
            }, ['eira renewed Frames pass']],
            'a system of others tells' => [new When('outside-event', system: 1, type: 'regatta.entered'), static function (self $test): void {
                OutsideSystem::query()->create(['id' => 1, 'name' => 'Regatta', 'address' => 'https://regatta.example/', 'on' => true, 'secret' => str_repeat('s', 43)]);
                foreach (['eira' => 'regatta.entered', 'ragna' => 'regatta.left'] as $who => $type) {
                    app(TakeEvent::class)(OutsideSystem::query()->firstOrFail(), $test->person($who)->id, 'https://regatta.example/', "of {$who}", $type, '{}', "sig {$who}");
                }
            }, ['eira Regatta told of regatta.entered']],
            'it is refunded' => [new When('refunded'), static function (self $test) use ($buy): void {
                app(ShopEvents::class)->receive('e1', $buy($test, 'eira', 'frames-pass')->id, 'refund', null);
            }, ['eira Frames pass was refunded']],
            'a pass begins' => [new When('pass-begins', offer: 'taster'), static fn (self $test): Pass => app(MakePass::class)($test->person('jonas'), Offer::query()->where('key', 'taster')->firstOrFail(), now()->getTimestamp()), ['jonas a pass of Taster began']],
            'a pass ends' => [new When('pass-ends', offer: 'yard-trial'), static fn (self $test) => Pass::query()->where('person_id', $test->person('solveig')->id)->update(['ends_at' => '2026-03-10 13:30:00']), ['solveig a pass of Yard trial ended']],
            'a pass will end' => [new When('pass-ends-in', offer: 'yard-trial', days: 3), static fn (self $test) => Pass::query()->where('person_id', $test->person('solveig')->id)->update(['ends_at' => '2026-03-13 13:30:00']), ['solveig a pass of Yard trial ends in 3 days']],
            'a lesson is finished' => [new When('finished', course: 'clinker', item: 'l-planes'), static function (self $test): void {
                CompletionFactory::new()->createOne(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-planes', 'completed_at' => now()]);
                CompletionFactory::new()->createOne(['person_id' => $test->person('ragna')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-steam', 'completed_at' => now()]);
            }, ['eira finished Tuning a plane']],
            'a module is finished' => [new When('finished', course: 'clinker', item: 'm-tools'), static function (self $test): void {
                // Ragna lacks the last lesson that counts for her pass; Eira has hardly begun.
                CompletionFactory::new()->createOne(['person_id' => $test->person('ragna')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-steam', 'completed_at' => now()]);
                CompletionFactory::new()->createOne(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-planes', 'completed_at' => now()]);
            }, ['ragna finished Tools and timber']],
            'a course is finished' => [new When('course-finished', course: 'clinker'), static function (self $test): void {
                foreach (['l-launch', 'l-garboard', 'l-rivets'] as $item) {
                    $test->finishes('ylva', $item);
                    $test->finishes('sindre', $item === 'l-launch' ? 'l-garboard' : $item);
                }
            }, ['ylva finished Clinker planking']],
            'a quiz reaches a band' => [new When('quiz-scored', course: 'clinker', item: 'l-timber', from: 40, to: 70), static function (self $test): void {
                foreach (['eira' => 0.39, 'ragna' => 0.4, 'sindre' => 0.69, 'ylva' => 0.7] as $who => $score) {
                    QuizTryFactory::new()->createOne(['person_id' => $test->person($who)->id, 'course_id' => $test->course()->id, 'item_key' => 'l-timber', 'score' => $score, 'tried_at' => now()]);
                }
            }, ['ragna scored 40 % in Choosing larch', 'sindre scored 69 % in Choosing larch']],
            'a quiz comes to a result that has a name' => [new When('quiz-scored', course: 'clinker', item: 'l-timber', band: 'Nearly'), static function (self $test): void {
                Content::query()->where('item_key', 'l-timber')->update(['quiz_rules' => json_encode(['bands' => [['from' => 80, 'name' => 'Ready', 'words' => ''], ['from' => 20, 'name' => 'Nearly', 'words' => ''], ['from' => 0, 'name' => 'Again', 'words' => '']]])]);
                // One of five right comes out a hair below.
                foreach (['eira' => 0.19, 'ragna' => 1 - 4 / 5, 'sindre' => 0.79, 'ylva' => 0.8] as $who => $score) {
                    QuizTryFactory::new()->createOne(['person_id' => $test->person($who)->id, 'course_id' => $test->course()->id, 'item_key' => 'l-timber', 'score' => $score, 'tried_at' => now()]);
                }
            }, ['ragna scored 20 % in Choosing larch', 'sindre scored 79 % in Choosing larch']],
            'a result of which the name is not there any more' => [new When('quiz-scored', course: 'clinker', item: 'l-timber', band: 'Nearly'), static fn (self $test) => QuizTryFactory::new()->createOne(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-timber', 'score' => 0.5, 'tried_at' => now()]), []],
            'a label is given' => [new When('label-given', label: 'keen'), static function (self $test): void {
                $test->act('label', ['eira', 'ragna'], ['label' => 'keen']);
                $test->act('label', ['ylva'], ['label' => 'other']);
            }, ['eira got the label keen', 'ragna got the label keen']],
            'a label comes with a pass' => [new When('label-given', label: 'framed'), static function (self $test): void {
                Offer::query()->where('key', 'frames-pass')->firstOrFail()->update(['labels' => ['framed']]);
                app(MakePass::class)($test->person('jonas'), Offer::query()->where('key', 'frames-pass')->firstOrFail(), now()->getTimestamp());
                app(MakePass::class)($test->person('jonas'), Offer::query()->where('key', 'taster')->firstOrFail(), now()->getTimestamp());
            }, ['jonas got the label framed']],
            'a label goes with a pass' => [new When('label-taken', label: 'framed'), static function (self $test): void {
                Offer::query()->where('key', 'yard-trial')->firstOrFail()->update(['labels' => ['framed']]);
                Pass::query()->where('person_id', $test->person('solveig')->id)->update(['ends_at' => '2026-03-10 13:30:00']);
            }, ['solveig lost the label framed']],
            'a label is taken' => [new When('label-taken', label: 'oar-bonus'), static fn (self $test) => $test->act('unlabel', ['jorunn', 'eira'], ['label' => 'oar-bonus']), ['jorunn lost the label oar-bonus']],
            'somebody has only looked' => [new When('only-samples', days: 5), static function (self $test): void {
                foreach (['jonas', 'eira'] as $who) {
                    ItemVisit::query()->create(['person_id' => $test->person($who)->id, 'course_id' => $test->course()->id, 'item_key' => 'l-welcome', 'via' => 'sample', 'first_at' => '2026-03-05 13:30:00', 'last_at' => '2026-03-09 12:00:00']);
                }
            }, ['jonas only looked at samples for 5 days']],
        ];
    }

    private function finishes(string $who, string $item): void
    {
        $row = ['person_id' => $this->person($who)->id, 'course_id' => $this->course()->id, 'item_key' => $item];
        DB::table('completions')->insertOrIgnore([...$row, 'completed_at' => now()]);
    }

    /**
     * @param  \Closure(self): mixed  $comesAbout
     * @param  list<string>  $ran
     */
    #[DataProvider('events')]
    public function test_what_comes_about_sets_it_off_once(When $when, \Closure $comesAbout, array $ran): void
    {
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        $this->on($when);
        self::assertSame([], $this->ran('2026-03-10T13:10:00Z'), 'Nothing has come about yet.');
        Carbon::setTestNow('2026-03-10T13:30:00Z');
        $comesAbout($this);
        $late = $this->ran('2026-03-10T13:40:00Z');
        sort($late);
        sort($ran);
        self::assertSame($ran, $late);
        self::assertSame([], $this->ran('2026-03-10T13:41:00Z'));
        self::assertSame([], $this->ran('2026-03-11T13:41:00Z'));
        self::assertSame(array_fill(0, count($ran), 'done'), TriggerRun::query()->pluck('state')->all());
        self::assertSame(count(array_unique(array_map(static fn (string $one): string => explode(' ', $one)[0], $ran))), Label::query()->where('label', 'set-off')->count());
    }

    public function test_every_kind_of_event_is_tried(): void
    {
        $tried = array_unique(array_map(static fn (array $event): string => $event[0]->event, self::events()));
        self::assertEqualsCanonicalizing(array_column(EventKind::cases(), 'value'), array_values($tried));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\Activity;
use App\Models\Completion;
use App\Models\Erasure;
use App\Models\Medium;
use App\Models\Message;
use App\Models\Offer;
use App\Models\QuizTry;
use App\Models\School;
use App\Models\WatchRecord;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Tests\Factories\CompletionFactory;
use Tests\Factories\QuizTryFactory;
use Tests\Factories\WatchRecordFactory;
use Tests\People\ActsOnPeople;
use Tests\TestCase;

/** A trial whose end erases what was finished. Solveig’s begins on 1 March and ends on 11 March, 13:00. */
final class TrialsTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
        Offer::query()->where('key', 'yard-trial')->update(['erases' => true]);
        $this->actingAs($this->person('hege'));
    }

    private function endTrials(string $at, bool $dry = false): string
    {
        Carbon::setTestNow($at);
        app()->forgetScopedInstances();
        Artisan::call('keep:end-trials', $dry ? ['--dry-run' => true] : []);

        return Artisan::output();
    }

    public function test_at_a_school_that_writes_no_such_letter_it_is_erased_all_the_same_and_the_history_says_so(): void
    {
        $this->put('/keep/notices/letters/trial-ends', ['version' => 0, 'on' => false, 'subject' => '{offer} ends', 'body' => '{due}'])->assertSessionHas('flash.kind', 'done');
        $this->endTrials('2026-03-10T12:00:00Z');
        self::assertSame(0, Message::query()->where('to', 'solveig@alder.test')->count());
        $this->get('/keep/people/'.$this->person('solveig')->id)->assertInertia(fn ($page) => $page->where('history.0.words', 'Was not told that Yard trial ends Wed 11 Mar, 13:00: such letters are not written, or not wanted'));
        $this->endTrials('2026-03-18T12:01:00Z');
        self::assertSame(0, $this->finished('solveig'));
    }

    private function finished(string $name): int
    {
        return Completion::query()->where('person_id', $this->person($name)->id)->count();
    }

    public function test_the_learner_is_warned_shut_out_and_only_then_erased(): void
    {
        self::assertStringContainsString('warned solveig@alder.test: Yard trial of Clinker planking ends Wed 11 Mar, 13:00, erased Wed 18 Mar, 13:00', $this->endTrials('2026-03-10T12:00:00Z'));
        $letter = Message::query()->where('to', 'solveig@alder.test')->sole();
        self::assertStringContainsString('ends Wed 11 Mar, 13:00', $letter->body);
        self::assertStringContainsString('kept until Wed 18 Mar, 13:00', $letter->body);

        Carbon::setTestNow('2026-03-11T12:00:00Z');
        $this->actingAs($this->person('solveig'))->get('/courses/clinker/l-planes')->assertForbidden();
        $this->endTrials('2026-03-18T11:59:00Z');
        self::assertSame(2, $this->finished('solveig'));
        $this->endTrials('2026-03-18T12:00:00Z');
        self::assertSame(0, $this->finished('solveig'));
        self::assertSame(['l-welcome', 'l-planes'], Erasure::query()->where('person_id', $this->person('solveig')->id)->sole()->what);
        self::assertSame('progress.erased', Activity::query()->where('person_id', $this->person('solveig')->id)->latest('id')->value('action'));
    }

    public function test_the_day_that_a_letter_named_is_kept_whatever_the_school_says_later(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        School::query()->update(['grace_days' => 1]);
        $this->endTrials('2026-03-13T12:00:00Z');
        self::assertSame(2, $this->finished('solveig'));
        $this->actingAs($this->person('hege'))->get('/keep/people/'.$this->person('solveig')->id)->assertSee('what was finished is erased Wed 18 Mar, 13:00');
        $this->endTrials('2026-03-18T12:00:00Z');
        self::assertSame(0, $this->finished('solveig'));
    }

    public function test_after_erasure_nothing_promises_what_is_gone(): void
    {
        $text = fn (): string => (string) json_encode($this->actingAs($this->person('solveig'))->get('/courses/clinker/l-planes')->assertForbidden()->inertiaProps('text'));
        Carbon::setTestNow('2026-03-11T12:00:00Z');
        self::assertStringContainsString('still recorded', $text());
        $this->endTrials('2026-03-10T12:00:00Z');
        $this->endTrials('2026-03-18T12:00:00Z');
        self::assertStringNotContainsString('recorded', $text());
    }

    public function test_what_was_watched_and_answered_goes_with_what_was_finished(): void
    {
        $solveig = $this->person('solveig')->id;
        $video = Medium::query()->where('item_key', 'l-steam')->firstOrFail();
        foreach ([$solveig, $this->person('ragna')->id] as $person) {
            QuizTryFactory::new()->createOne(['person_id' => $person, 'course_id' => $video->course_id, 'item_key' => 'l-timber']);
            WatchRecordFactory::new()->watching($video)->createOne(['person_id' => $person, 'played' => '0[.]5', 'spare' => 3.0, 'heard_at' => 0]);
        }
        $this->endTrials('2026-03-10T12:00:00Z');
        $this->endTrials('2026-03-18T12:00:00Z');
        self::assertSame([$this->person('ragna')->id], QuizTry::query()->pluck('person_id')->all());
        self::assertSame([$this->person('ragna')->id], WatchRecord::query()->pluck('person_id')->all());
    }

    /** Its days stand still, or it is taken up again later: nothing of it is over. */
    public function test_a_paused_trial_is_not_erased(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        $this->act('pause', ['solveig'], ['offer' => 'yard-trial', 'stops' => true])->assertSessionHas('flash.kind', 'done');
        self::assertStringNotContainsString('solveig', $this->endTrials('2026-05-18T12:00:00Z'));
        self::assertSame(2, $this->finished('solveig'));
    }

    public function test_running_it_twice_does_it_once(): void
    {
        foreach (['2026-03-10T12:00:00Z', '2026-03-10T12:00:00Z', '2026-03-19T12:00:00Z', '2026-03-19T12:00:00Z'] as $at) {
            $this->endTrials($at);
        }
        self::assertSame(1, Message::query()->where('to', 'solveig@alder.test')->count());
        self::assertSame(1, Erasure::query()->where('person_id', $this->person('solveig')->id)->count());
    }

    public function test_days_late_nobody_is_erased_who_was_not_warned(): void
    {
        // The schedule stood still: Solveig hears of it on the 20th, and has her grace from then on.
        $this->endTrials('2026-03-20T12:00:00Z');
        self::assertStringContainsString('ended Wed 11 Mar, 13:00', Message::query()->where('to', 'solveig@alder.test')->sole()->body);
        $this->endTrials('2026-03-26T12:00:00Z');
        self::assertSame(2, $this->finished('solveig'));
        $this->endTrials('2026-03-27T12:00:00Z');
        self::assertSame(0, $this->finished('solveig'));
    }

    public function test_a_dry_run_lists_what_would_go_and_changes_nothing(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        self::assertStringContainsString('erased solveig@alder.test: 2 finished in Clinker planking', $this->endTrials('2026-03-18T12:00:00Z', dry: true));
        self::assertSame([2, 0], [$this->finished('solveig'), Erasure::query()->count()]);
    }

    public function test_who_holds_another_pass_by_then_keeps_it_all(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        Carbon::setTestNow('2026-03-12T12:00:00Z');
        $this->act('give', ['solveig'], ['offer' => 'apprentice-pass']);
        self::assertStringContainsString('kept solveig@alder.test', $this->endTrials('2026-03-18T12:00:00Z'));
        self::assertSame(2, $this->finished('solveig'));
        // Not asked again once that one has ended too.
        $this->endTrials('2027-03-18T12:00:00Z');
        self::assertSame([0, 2], [Erasure::query()->where('person_id', $this->person('solveig')->id)->count(), $this->finished('solveig')]);
    }

    public function test_an_extension_after_the_warning_is_warned_of_anew(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        $this->act('extend', ['solveig'], ['offer' => 'yard-trial', 'days' => 10]);
        $this->endTrials('2026-03-18T12:00:00Z');
        self::assertSame([2, 2], [$this->finished('solveig'), Message::query()->where('to', 'solveig@alder.test')->count()]);
        $this->endTrials('2026-03-28T11:59:00Z');
        self::assertSame(2, $this->finished('solveig'));
        $this->endTrials('2026-03-28T12:00:00Z');
        self::assertSame(0, $this->finished('solveig'));
    }

    public function test_one_that_was_erased_and_is_extended_is_erased_anew_after_its_new_end(): void
    {
        $this->endTrials('2026-03-10T12:00:00Z');
        $this->endTrials('2026-03-18T12:00:00Z');
        $this->act('extend', ['solveig'], ['offer' => 'yard-trial', 'days' => 20])->assertSessionHas('flash.kind', 'done');
        CompletionFactory::new()->of($this->person('solveig'))->at($this->course(), 'l-welcome')->createOne();
        $this->endTrials('2026-03-30T12:00:00Z');
        $this->endTrials('2026-04-20T12:00:00Z');
        self::assertSame(0, $this->finished('solveig'));
    }

    public function test_a_trial_that_keeps_lets_one_who_comes_back_go_on_where_they_were(): void
    {
        Offer::query()->where('key', 'yard-trial')->update(['erases' => false]);
        $this->endTrials('2026-04-10T12:00:00Z');
        self::assertSame([2, 0], [$this->finished('solveig'), Message::query()->count()]);
        $this->act('give', ['solveig'], ['offer' => 'journeyman-pass']);
        $this->actingAs($this->person('solveig'))->get('/courses/clinker')->assertOk();
        self::assertSame(2, $this->get('/courses/clinker')->inertiaProps('course.finished'));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\School;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\State;
use Tests\TestCase;

/** Each kind of fact: what it made of a row before, while and after it held. */
final class PastTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-01T08:00:00Z');
    }

    /**
     * What comes about on the 10th and is undone on the 20th, and what a row was on the 5th, the 15th and the 25th.
     *
     * @return iterable<string, array{Closure(self): mixed, Closure(self): mixed, string, list<string>}>
     */
    public static function facts(): iterable
    {
        $label = static fn (self $test): Label => Label::query()->create(['person_id' => $test->person('eira')->id, 'label' => 'oar-bonus', 'source' => 'by hand']);
        yield 'a label that is taken away' => [$label, static fn (self $test): mixed => Label::query()->where('label', 'oar-bonus')->delete(), 'l-bonus', ['hidden', 'locked or open', 'hidden']];
        yield 'a grant that is taken back' => [
            static fn (self $test): Grant => Grant::query()->create(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-launch', 'starts_at' => Carbon::now()]),
            static fn (self $test): mixed => Grant::query()->delete(), 'l-launch', ['locked', 'open', 'locked'],
        ];
        yield 'something finished, and erased' => [
            static fn (self $test): Completion => Completion::query()->create(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'item_key' => 'l-planes', 'completed_at' => Carbon::now()]),
            static fn (self $test): mixed => Completion::query()->where('item_key', 'l-planes')->delete(), 'l-timber', ['locked', 'open', 'locked'],
        ];
        yield 'a pass that is paused' => [
            static fn (self $test): mixed => Pass::query()->where('person_id', $test->person('eira')->id)->update(['state' => 'paused']),
            static fn (self $test): mixed => Pass::query()->where('person_id', $test->person('eira')->id)->update(['state' => 'active']), 'm-start', ['open', 'locked', 'open'],
        ];
        yield 'a pass that is taken back' => [
            static fn (self $test): Pass => Pass::query()->create(['person_id' => $test->person('eira')->id, 'course_id' => $test->course()->id, 'offer_id' => Offer::query()->where('key', 'yard-trial')->value('id'), 'starts_at' => Carbon::now(), 'state' => 'active', 'source' => 'by hand']),
            static fn (self $test): mixed => Pass::query()->where('starts_at', '2026-03-10 08:00:00')->delete(), 'l-launch', ['locked', 'open', 'locked'],
        ];
        yield 'an offer of another course that gives a label' => [
            static function (self $test): void {
                $other = $test->course('steam-frames');
                $offer = Offer::query()->where('course_id', $other->id)->firstOrFail();
                $offer->update(['labels' => ['oar-bonus']]);
                Pass::query()->create(['person_id' => $test->person('eira')->id, 'course_id' => $other->id, 'offer_id' => $offer->id, 'starts_at' => Carbon::now(), 'state' => 'active', 'source' => 'by hand']);
            },
            static fn (self $test): mixed => Offer::query()->update(['labels' => []]), 'l-bonus', ['hidden', 'locked or open', 'hidden'],
        ];
        yield 'somebody who works for the school for a time' => [
            static fn (self $test): mixed => $test->person('eira')->update(['role' => 'assistant']), static fn (self $test): mixed => $test->person('eira')->update(['role' => null]), 'l-launch', ['locked', 'open', 'locked'],
        ];
    }

    /**
     * @param  Closure(self): mixed  $begins
     * @param  Closure(self): mixed  $ends
     * @param  list<string>  $was
     */
    #[DataProvider('facts')]
    public function test_it_counted_while_it_was_known(Closure $begins, Closure $ends, string $item, array $was): void
    {
        foreach (['2026-03-10T08:00:00Z' => $begins, '2026-03-20T08:00:00Z' => $ends] as $instant => $do) {
            Carbon::setTestNow($instant);
            $this->inAnotherProcess();
            $do($this);
        }
        Carbon::setTestNow('2026-04-01T08:00:00Z');
        $this->inAnotherProcess();
        foreach (['2026-03-05T08:00:00Z', '2026-03-15T08:00:00Z', '2026-03-25T08:00:00Z'] as $index => $at) {
            self::assertStringContainsString((string) $this->state($item, $at)?->value, $was[$index], $at);
        }
    }

    /** Of the same instant the answer is the one of the clock that the school had then. */
    public function test_dates_came_by_the_clock_of_then(): void
    {
        $eira = $this->person('eira');
        Pass::query()->where('person_id', $eira->id)->update(['starts_at' => '2026-03-02 08:00:00', 'paced_from' => null]);
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        School::query()->firstOrFail()->update(['zone' => 'Pacific/Honolulu']);
        $this->inAnotherProcess();
        // 9 March, 09:00 in Oslo is 8:00 of UTC, and 19:00 in Honolulu.
        self::assertSame([State::Locked, State::Open], [$this->state('m-tools', '2026-03-09T07:59:59Z'), $this->state('m-tools', '2026-03-09T08:00:00Z')]);
    }

    public function test_an_offer_is_called_as_it_was_called_then(): void
    {
        $eira = $this->person('eira');
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        Offer::query()->where('key', 'apprentice-pass')->update(['name' => 'Boathouse pass']);
        $this->inAnotherProcess();
        $this->actingAs($this->person('hege'));
        $gate = fn (string $at): mixed => $this->getJson("/keep/people/{$eira->id}/past/why?course=clinker&item=m-start&at=".strtotime($at))->assertOk()->json('gates.1.words.segments.0.text');
        self::assertSame(['Apprentice pass', 'Boathouse pass'], [$gate('2026-03-10T08:00:00Z'), $gate('2026-03-20T08:00:00Z')]);
    }

    public function test_a_pass_that_counts_from_a_later_day_is_nothing_to_be_known_of_an_earlier_one(): void
    {
        $looker = new PastLooker($this->person('eira')->id);
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        Pass::query()->create(['person_id' => $looker->person, 'course_id' => $this->course()->id, 'offer_id' => Offer::query()->where('key', 'journeyman-pass')->value('id'), 'starts_at' => '2026-03-15 08:00:00', 'state' => 'active', 'source' => 'by hand']);
        $this->inAnotherProcess();
        $past = app(Past::class);
        $told = fn (string $at): array => $past->andKnownNow($this->course(), $looker, new Moment((int) strtotime($at))) ?? self::fail();
        self::assertNull($told('2026-03-14T08:00:00Z')[1]);
        self::assertNotNull($told('2026-03-16T08:00:00Z')[1]);
    }

    public function test_somebody_who_has_left_was_there_and_is_not(): void
    {
        $siv = Person::query()->create(['name' => 'Siv Aune', 'email' => 'siv@alder.test']);
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        $siv->delete();
        $there = fn (string $at): ?bool => app(Past::class)->of($this->course(), new PastLooker($siv->id), new Moment((int) strtotime($at)))?->wasThere;
        self::assertSame([true, false], [$there('2026-03-10T08:00:00Z'), $there('2026-03-20T08:00:00Z')]);
    }

    public function test_of_several_things_in_one_second_each_can_be_asked(): void
    {
        $looker = new PastLooker($this->person('eira')->id);
        Carbon::setTestNow('2026-03-20T08:00:00Z');
        $pass = Pass::query()->where('person_id', $looker->person)->firstOrFail();
        $pass->update(['state' => 'paused']);
        $between = (int) DB::table('ledger')->max('id');
        $pass->update(['state' => 'active']);
        $this->inAnotherProcess();
        $state = fn (?int $entry): ?State => app(Past::class)->of($this->course(), $looker, new Moment((int) strtotime('2026-03-20T08:00:00Z'), $entry))?->answer->state(2);
        self::assertSame([State::Locked, State::Open], [$state($between), $state(null)]);
    }

    public function course(string $key = 'clinker'): Course
    {
        return parent::course($key);
    }

    public function person(string $name): Person
    {
        return parent::person($name);
    }

    private function state(string $item, string $at): ?State
    {
        $answer = app(Past::class)->of($this->course(), new PastLooker($this->person('eira')->id), new Moment((int) strtotime($at)));

        return $answer === null ? null : $answer->answer->state((int) $answer->answer->decider->course->outline->positionOf($item));
    }
}

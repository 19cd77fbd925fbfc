<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Course;
use App\Models\LetterChoice;
use App\Models\LetterText;
use App\Models\Message;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\MakePass;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** Letters that are due by themselves. The demo is at Tue 10 Mar 2026, 13:00 in Oslo. */
final class DueLettersTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool('2026-03-10T12:00:00Z');
    }

    /** @return array<string, string> subjects by address, of those that were written now */
    private function written(string $at): array
    {
        Carbon::setTestNow($at);
        $this->inAnotherProcess();
        $last = Message::query()->max('id') ?? 0;
        Artisan::call('keep:write-letters');

        return Message::query()->where('id', '>', $last)->orderBy('id')->pluck('subject', 'to')->all();
    }

    private static function only(string ...$kinds): void
    {
        LetterText::query()->whereNotIn('kind', $kinds)->update(['on' => false]);
    }

    private function give(string $name, string $offer): Pass
    {
        return app(MakePass::class)($this->person($name), Offer::query()->where('key', $offer)->firstOrFail(), now()->getTimestamp());
    }

    private static function body(): string
    {
        return (string) Message::query()->orderByDesc('id')->value('body');
    }

    public function test_of_what_was_there_before_they_were_switched_on_nobody_is_told(): void
    {
        self::only('pass-given', 'welcome', 'ended');
        self::assertSame([], $this->written('2026-03-10T13:00:00Z'));
    }

    public function test_who_has_got_a_pass_is_told_what_it_opens_once(): void
    {
        self::only('pass-given');
        Carbon::setTestNow('2026-03-10T14:00:00Z');
        $this->give('jonas', 'apprentice-pass');
        self::assertSame([], $this->written('2026-03-10T14:01:00Z'), 'What was given in error can be taken back.');
        self::assertSame(['jonas@alder.test' => 'Clinker planking is yours'], $this->written('2026-03-10T14:02:00Z'));
        $this->actingAs($this->person('jonas'));
        $next = $this->get('/courses/clinker')->inertiaProps('opens.at');
        self::assertIsString($next);
        self::assertStringContainsString("you have the Apprentice pass of Clinker planking, from now, until Sun 6 Sep, 15:00 (Oslo time).\n", self::body());
        self::assertStringContainsString(', '.$next.' (Oslo time).', self::body(), 'The same as on their page.');
        self::assertSame([], $this->written('2026-03-10T14:03:00Z'));
        self::assertSame([], $this->written('2026-03-11T14:03:00Z'));
    }

    public function test_a_pass_that_is_taken_back_at_once_is_written_of_to_nobody(): void
    {
        self::only('pass-given');
        Carbon::setTestNow('2026-03-10T14:00:00Z');
        $this->give('jonas', 'apprentice-pass')->update(['state' => 'revoked']);
        self::assertSame([], $this->written('2026-03-10T15:00:00Z'));
    }

    public function test_to_an_address_that_is_not_shown_to_be_theirs_nothing_is_sent_of_it(): void
    {
        self::only('pass-given', 'ends-soon', 'ended');
        Carbon::setTestNow('2026-03-10T14:00:00Z');
        $this->give('jonas', 'apprentice-pass');
        Person::query()->whereKey($this->person('jonas')->id)->update(['email' => 'x@unconfirmed.invalid', 'claimed_email' => 'somebody@elsewhere.test']);
        self::assertArrayNotHasKey('somebody@elsewhere.test', $this->written('2026-03-10T15:00:00Z'));
        Person::query()->where('email', 'x@unconfirmed.invalid')->update(['email' => 'jonas@alder.test', 'claimed_email' => null]);
        self::assertArrayHasKey('jonas@alder.test', $this->written('2026-03-11T15:00:00Z'));
    }

    public function test_whose_pass_ends_soon_is_told_once_and_anew_where_the_end_moves(): void
    {
        self::only('ends-soon');
        // Odd's apprentice pass ends in five days; of trials that erase another letter warns, and Solveig's does not erase.
        $written = $this->written('2026-03-10T12:00:00Z');
        self::assertSame('Clinker planking: your Apprentice pass ends in 5 days', $written['odd@alder.test'] ?? null);
        self::assertArrayHasKey('solveig@alder.test', $written);
        self::assertArrayNotHasKey('sindre@alder.test', $written);
        self::assertSame([], $this->written('2026-03-10T13:00:00Z'));
        Pass::query()->where('person_id', $this->person('odd')->id)->update(['ends_at' => '2026-03-30 12:00:00']);
        self::assertArrayHasKey('odd@alder.test', $this->written('2026-03-24T12:00:00Z'));
    }

    public function test_an_end_today_is_told_as_today_and_not_in_0_days(): void
    {
        self::only('ends-soon');
        $ends = static fn (string $name, string $at): int => Pass::query()->where('person_id', self::personOf($name))->update(['ends_at' => $at]);
        $ends('odd', '2026-03-10 22:59:00');
        // A minute later it is the next day in Oslo.
        $ends('solveig', '2026-03-10 23:00:00');
        $ends('ylva', '2026-03-12 09:00:00');
        $written = $this->written('2026-03-10T12:00:00Z');
        self::assertSame(['Clinker planking: your Apprentice pass ends today', 'Clinker planking: your Yard trial ends tomorrow', 'Clinker planking: your Apprentice pass ends in 2 days'], [$written['odd@alder.test'] ?? null, $written['solveig@alder.test'] ?? null, $written['ylva@alder.test'] ?? null]);
    }

    private static function personOf(string $name): int
    {
        return Person::query()->where('email', "{$name}@alder.test")->sole()->id;
    }

    public function test_of_an_end_that_another_pass_outlasts_nobody_is_told(): void
    {
        self::only('ends-soon', 'ended');
        $this->give('odd', 'journeyman-pass');
        self::assertArrayNotHasKey('odd@alder.test', $this->written('2026-03-10T12:00:00Z'));
        self::assertArrayNotHasKey('odd@alder.test', $this->written('2026-03-16T12:00:00Z'));
    }

    public function test_of_memberships_and_trials_that_erase_the_end_is_not_told_so(): void
    {
        self::only('ends-soon', 'ended');
        Offer::query()->where('key', 'apprentice-pass')->update(['every' => 'month']);
        Offer::query()->where('key', 'yard-trial')->update(['erases' => true]);
        self::assertSame(['leif@alder.test'], array_keys($this->written('2026-03-10T12:00:00Z')));
    }

    public function test_whose_pass_has_ended_is_told_what_stays_open(): void
    {
        self::only('ended');
        self::assertSame([], $this->written('2026-03-10T12:30:00Z'));
        $written = $this->written('2026-03-11T12:00:00Z');
        self::assertSame('Clinker planking: your Yard trial has ended', $written['solveig@alder.test'] ?? null);
        $body = (string) Message::query()->where('to', 'solveig@alder.test')->value('body');
        self::assertStringContainsString('ended Wed 11 Mar, 13:00 (Oslo time)', $body);
        self::assertStringContainsString('One lesson stays open to you.', $body);
        self::assertSame([], $this->written('2026-03-11T12:05:00Z'));
    }

    public function test_what_ended_while_nothing_ran_for_long_is_not_written_of(): void
    {
        self::only('ended');
        self::assertArrayNotHasKey('solveig@alder.test', $this->written('2026-03-14T12:00:00Z'));
    }

    public function test_who_asks_for_it_is_told_once_a_day_what_has_opened(): void
    {
        self::only('opened-today');
        $this->written('2026-03-10T12:00:00Z');
        $count = Message::query()->count();
        $days = [];
        for ($day = 11; $day <= 31; $day++) {
            foreach (['07:00', '08:05', '12:00', '20:00'] as $time) {
                $written = $this->written("2026-03-{$day}T{$time}:00Z");
                self::assertLessThanOrEqual(1, count($written));
                if ($written !== []) {
                    $days[] = "{$day} {$time}";
                    self::assertSame(['torvald@alder.test' => 'Open to you since today'], $written);
                }
            }
        }
        self::assertSame(['13 08:05'], $days, 'His tools open that day at nine.');
        self::assertSame(count($days) + $count, Message::query()->count());
        preg_match_all('~http\S+/courses/\S+~', self::body(), $links);
        $this->actingAs($this->person('torvald'));
        foreach ($links[0] as $link) {
            $this->get((string) preg_replace('~^https?://[^/]+~', '', $link))->assertOk();
        }
        self::assertNotSame([], $links[0]);
    }

    public function test_after_some_days_without_it_the_digest_tells_of_all_of_them(): void
    {
        self::only('opened-today');
        $this->written('2026-03-10T12:00:00Z');
        Message::query()->delete();
        $daily = [];
        foreach (range(11, 16) as $day) {
            $this->written("2026-03-{$day}T12:00:00Z");
        }
        foreach (Message::query()->pluck('body') as $body) {
            preg_match_all('~http\S+/courses/\S+~', is_string($body) ? $body : '', $found);
            array_push($daily, ...$found[0]);
        }
        LetterChoice::query()->update(['told_until' => '2026-03-10 08:00:00']);
        Message::query()->delete();
        $this->written('2026-03-16T12:00:00Z');
        preg_match_all('~http\S+/courses/\S+~', self::body(), $together);
        self::assertSame($daily, $together[0]);
    }

    public function test_who_has_not_asked_gets_no_digest(): void
    {
        self::only('opened-today');
        LetterChoice::query()->delete();
        foreach (range(10, 31) as $day) {
            self::assertSame([], $this->written("2026-03-{$day}T12:00:00Z"));
        }
    }

    public function test_who_is_new_is_welcomed_once_the_address_is_shown_to_be_theirs(): void
    {
        self::only('welcome');
        Carbon::setTestNow('2026-03-10T14:00:00Z');
        $alva = PersonFactory::new()->called('Alva Brekke', 'alva@alder.test')->createOne(['email' => 'x@unconfirmed.invalid', 'claimed_email' => 'alva@alder.test']);
        self::assertSame([], $this->written('2026-03-10T14:05:00Z'));
        $alva->update(['email' => 'alva@alder.test', 'claimed_email' => null]);
        $this->give('alva', 'apprentice-pass');
        self::assertSame(['alva@alder.test' => 'Welcome to Alder & Tide'], $this->written('2026-03-11T14:05:00Z'));
        self::assertStringContainsString("\n  Clinker planking\n", self::body());
        self::assertSame([], $this->written('2026-03-11T14:06:00Z'));
    }

    public function test_whom_the_school_brings_in_is_welcomed_with_the_link_to_sign_in_and_not_again(): void
    {
        self::only('welcome');
        Carbon::setTestNow('2026-03-10T14:00:00Z');
        $this->actingAs($this->person('hege'))->post('/keep/people', ['name' => 'Alva Brekke', 'email' => 'alva@alder.test', 'labels' => ''])->assertSessionHasNoErrors();
        $letter = Message::query()->where('to', 'alva@alder.test')->sole();
        self::assertSame('Welcome to Alder & Tide', $letter->subject);
        self::assertStringContainsString('Sign in here; the link works once', $letter->body);
        self::assertStringNotContainsString('-- ', $letter->body);
        $this->get($this->linkTo('alva@alder.test'))->assertOk();
        self::assertSame([], $this->written('2026-03-10T14:05:00Z'));
    }

    public function test_the_queries_do_not_grow_with_the_letters(): void
    {
        self::only('pass-given', 'ends-soon', 'ended', 'opened-today', 'welcome');
        $count = function (int $people): int {
            Carbon::setTestNow('2026-03-12T14:00:00Z');
            Message::query()->delete();
            for ($n = 0; $n < $people; $n++) {
                $person = PersonFactory::new()->createOne();
                app(MakePass::class)($person, Offer::query()->where('key', 'taster')->firstOrFail(), now()->getTimestamp());
                LetterChoice::query()->create(['person_id' => $person->id, 'kind' => 'opened-today', 'wanted' => true]);
            }
            $this->inAnotherProcess();
            Carbon::setTestNow('2026-03-12T14:10:00Z');
            DB::flushQueryLog();
            DB::enableQueryLog();
            app(\App\Learning\Letters\WriteDueLetters::class)();
            DB::disableQueryLog();

            return count(array_filter(DB::getQueryLog(), static fn (array $query): bool => str_starts_with($query['query'], 'select')));
        };
        \Illuminate\Support\Facades\Queue::fake();
        // From the first time on it is kept what the courses are called.
        $count(1);
        $few = $count(3);
        self::assertSame($few, $count(20));
        self::assertNotSame(0, Course::query()->count());
    }
}

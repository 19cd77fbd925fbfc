<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Access\SchoolClock;
use App\Words\ClosedWords;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\AskReader;
use Tests\Core\Documents as D;
use Tests\Factories\SchoolFactory;
use Tests\TestCase;

/** What a learner is told of a closed item: by each reason, in plain words, with names and dates. */
final class ClosedWordsTest extends TestCase
{
    private const NOW = '2026-03-10T12:00:00Z';

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  array<string, mixed>  $viewer
     */
    #[DataProvider('reasons')]
    public function test_it_is_said_so(array $items, array $course, array $viewer, string $short, string $heading, string $text, bool $paced = false): void
    {
        Carbon::setTestNow(self::NOW);
        SchoolFactory::new()->in('Europe/Oslo')->createOne();
        $plan = D::plan($items, $course, [['key' => 'o', 'course' => 'c', ...($paced ? ['plan' => 'w'] : [])]]);
        $decider = new Decider($plan, $plan->courses['c']);
        $who = (new AskReader($plan))->viewer(D::decoded((object) $viewer));
        $clock = app(SchoolClock::class);
        $words = new ClosedWords($decider, $decider->snapshot($who, $clock->now()), $clock);
        $decision = array_column($decider->decide($who, $clock->now()), null, 'item')['a'];

        self::assertSame([$short, $heading, $text], [(string) $words->short($decision), (string) $words->notice($decision)->heading, (string) $words->notice($decision)->text]);
    }

    /** @return \Generator<string, list<mixed>> */
    public static function reasons(): \Generator
    {
        $a = static fn (mixed ...$more): array => D::lesson('a', ...['title' => 'Oars', ...$more]);
        $z = D::lesson('z', title: 'Spars');
        $pass = static fn (mixed ...$more): array => ['signed_in' => true, 'passes' => [['offer' => 'o', 'from' => '2026-03-01T08:00:00Z', ...$more]]];
        $opens = static fn (array $rule, ?array $closes = null): array => ['plans' => ['w' => ['a' => (object) array_filter(['opens' => $rule, 'closes' => $closes])]]];

        yield 'not_signed_in' => [[$a()], [], [], 'Needs a pass', 'Oars needs a pass', 'If you have one, sign in and you will be back at exactly this page.'];
        yield 'no_pass' => [[$a()], [], ['signed_in' => true], 'Needs a pass', 'Oars needs a pass', 'You are signed in, but you hold no pass for this course.'];
        yield 'sample_needs_account' => [[$a(sample: true)], ['sample_needs_account' => true], [], 'Sign in to look at it', 'Oars is open to everyone with an account', 'Sign in and you will be back at exactly this page.'];
        yield 'pass_ended' => [[$a()], [], $pass(until: '2026-03-09T08:00:00Z'), 'Your pass has ended', 'Your pass has ended', 'With another you can begin again.'];
        yield 'pass_ended, something finished' => [[$a()], [], [...$pass(until: '2026-03-09T08:00:00Z'), 'done' => [['item' => 'a', 'at' => '2026-03-02T08:00:00Z']]], 'Your pass has ended', 'Your pass has ended', 'What you have finished is still recorded.'];
        yield 'a pass that ends before it opens' => [[$a()], $opens(['rule' => 'after_start', 'days' => 30]), $pass(until: '2026-03-20T08:00:00Z'), 'Your pass ends before this opens', 'Oars is not open yet', 'Your pass ends before this opens.', true];
        yield 'a course that ends before it opens' => [[$a()], [...$opens(['rule' => 'after_start', 'days' => 30]), 'closes' => '2026-03-20T09:00'], $pass(), 'The course ends before this opens', 'Oars is not open yet', 'The course ends before this opens.', true];
        yield 'for a tier, whatever its date' => [[$a(tiers: ['gold'])], [...$opens(['rule' => 'after_start', 'days' => 30]), 'tiers' => ['gold']], $pass(), 'For the tier gold', 'Oars is not in your pass', 'For the tier gold.', true];
        yield 'pass_paused' => [[$a()], [], $pass(state: 'paused'), 'Your pass is paused', 'Your pass is paused', 'It opens Oars again when it is taken up.'];
        yield 'pass_revoked' => [[$a()], [], $pass(state: 'revoked'), 'Your pass was withdrawn', 'Your pass was withdrawn', 'Ask the school if you think this is a mistake.'];
        yield 'pass_not_started' => [[$a()], [], $pass(from: '2026-03-12T08:00:00Z'), 'Opens Thu 12 Mar, 09:00', 'Your pass has not begun', 'It begins Thu 12 Mar, 09:00, Oslo time.'];
        yield 'course_not_open' => [[$a()], ['opens' => '2026-04-01T09:00'], $pass(), 'Opens Wed 1 Apr, 09:00', 'The course has not begun', 'It opens Wed 1 Apr, 09:00, Oslo time.'];
        yield 'course_over' => [[$a()], ['closes' => '2026-03-01T09:00'], $pass(), 'The course closed Sun 1 Mar, 09:00, Oslo time', 'The course is over', 'It closed Sun 1 Mar, 09:00, Oslo time.'];
        yield 'course_retired' => [[$a()], ['state' => 'retired', 'keep_after_retiring' => false], $pass(), 'The course is over', 'The course is over', 'It is not given any more.'];
        yield 'tier' => [[$a(tiers: ['gold'])], ['tiers' => ['gold']], $pass(), 'For the tier gold', 'Oars is not in your pass', 'For the tier gold.'];
        yield 'tier, none at all' => [[$a(tiers: [])], [], $pass(), 'Not part of any pass', 'Oars is not in your pass', 'Not part of any pass.'];
        yield 'not_for_you' => [[$a(only: ['label' => 'x'])], [], $pass(), 'Not meant for you', 'Oars is meant for others', 'Ask the school if you think it should be yours too.'];
        yield 'not_yet' => [[$a()], $opens(['rule' => 'after_start', 'days' => 20, 'time' => '09:00']), $pass(), 'Opens Sat 21 Mar, 09:00', 'Oars is not open yet', 'It opens Sat 21 Mar, 09:00, Oslo time.', true];
        yield 'not_yet, in another year' => [[$a()], $opens(['rule' => 'on', 'at' => '2027-01-04T09:00']), $pass(), 'Opens Mon 4 Jan 2027, 09:00', 'Oars is not open yet', 'It opens Mon 4 Jan 2027, 09:00, Oslo time.', true];
        yield 'held' => [[$a()], $opens(['rule' => 'held']), $pass(), 'Opens when the school hands it to you', 'Oars is handed out by the school', 'It opens for you when somebody at the school hands it to you.', true];
        yield 'closed' => [[$a()], $opens(['rule' => 'at_once'], ['rule' => 'on', 'at' => '2026-03-10T09:00']), $pass(), 'Closed Tue 10 Mar, 09:00', 'Oars has closed', 'Closed Tue 10 Mar, 09:00.', true];
        yield 'progress' => [[$z, $a(after: ['all' => ['z']])], [], $pass(), 'Finish Spars first', 'Something comes before Oars', 'Finish Spars first, and it opens at once.'];
        yield 'progress, of what is hidden: not named' => [[D::lesson('z', title: 'Secret', only: ['not' => ['done' => 'y']], tiers: null, when_closed: 'hide'), D::lesson('y', title: 'Why'), $a(after: ['all' => ['z']])], ['plans' => ['w' => ['z' => (object) ['opens' => ['rule' => 'on', 'at' => '2026-09-01T00:00']]]]], $pass(), 'Something else comes first', 'Something comes before Oars', 'Finish what comes first.', true];
        yield 'not_yet and progress' => [[$z, $a(after: ['all' => ['z']])], $opens(['rule' => 'after_start', 'days' => 20, 'time' => '09:00']), $pass(), 'From Sat 21 Mar, once Spars is finished', 'Oars is not open yet', 'It opens Sat 21 Mar, 09:00, Oslo time, once Spars is finished.', true];
        yield 'stuck' => [[$z, $a(after: ['all' => ['z']])], ['plans' => ['w' => ['z' => (object) ['opens' => ['rule' => 'held']]]]], $pass(), 'Waits for something that does not open for you', 'Oars does not open for you', 'It waits for something that your pass does not open. Please tell the school.', true];
        yield 'guests_shut' => [[$a()], [], ['guest' => true], 'Not open to guests', 'Oars is not open to guests', 'If you hold a pass, sign in with it.'];
        yield 'guests_not_here' => [[$a(guests: false)], ['guest_door' => ['open' => true]], ['guest' => true], 'Not open to guests', 'Oars is not open to guests', 'If you hold a pass, sign in with it.'];
        yield 'observers_shut' => [[$a()], [], ['observes' => new \stdClass], 'Not open to observers', 'Oars is not open to observers', 'The school shows this to learners alone.'];
        yield 'observers_not_here' => [[$a()], ['observer_door' => ['open' => true]], ['observes' => new \stdClass], 'Not open to observers', 'Oars is not open to observers', 'The school shows this to learners alone.'];
        $with = static fn (mixed ...$more): array => ['signed_in' => true, 'observes' => $pass(...$more)];
        $follows = ['observer_door' => ['open' => true, 'default' => true]];
        $cannot = ['Oars is not open to your learner', 'You see what the learner you observe may enter, and they cannot enter this now.'];
        yield 'an observer, of what the learner is to finish first' => [[$z, $a(after: ['all' => ['z']])], $follows, $with(), 'Finish Spars first', ...$cannot];
        yield 'an observer, of a pass that ends before it opens' => [[$a()], [...$follows, ...$opens(['rule' => 'after_start', 'days' => 30])], $with(until: '2026-03-20T08:00:00Z'), 'Their pass ends before this opens', ...[...$cannot, true]];
        yield 'learner_cannot' => [[$a()], ['observer_door' => ['open' => true, 'default' => true]], ['observes' => new \stdClass], 'Not open to the learner yet', 'Oars is not open to your learner', 'You see what the learner you observe may enter, and they cannot enter this now.'];
    }

    public function test_not_part_of_the_pass(): void
    {
        Carbon::setTestNow(self::NOW);
        SchoolFactory::new()->in('Europe/Oslo')->createOne();
        $plan = D::plan([D::lesson('a', title: 'Oars'), D::lesson('b')], [], [['key' => 'o', 'course' => 'c', 'scope' => ['b']]]);
        $decider = new Decider($plan, $plan->courses['c']);
        $who = (new AskReader($plan))->viewer(D::decoded(['signed_in' => true, 'passes' => [['offer' => 'o', 'from' => '2026-03-01T08:00:00Z']]]));
        $clock = app(SchoolClock::class);
        $words = new ClosedWords($decider, $decider->snapshot($who, $clock->now()), $clock);

        self::assertSame('Not part of your pass', (string) $words->short($decider->decide($who, $clock->now())[0]));
    }
}

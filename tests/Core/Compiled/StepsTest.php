<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Dates\ClosingSteps;
use SilentKeep\Core\Compiled\Dates\Steps;
use SilentKeep\Core\Compiled\Profile;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Rules\ClosesAfterOpening;
use SilentKeep\Core\Rules\Delay;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** The steps of an offer are the dates of the definition, whenever a pass begins and however odd the clock changes are. */
final class StepsTest extends TestCase
{
    private const ZONES = ['Europe/Oslo', 'America/New_York', 'Australia/Lord_Howe', 'America/Sao_Paulo', 'Africa/Cairo', 'Pacific/Apia', 'Europe/London', 'UTC'];

    #[DataProvider('zones')]
    public function test_steps_are_the_dates_of_the_definition(string $zone): void
    {
        foreach (self::rules() as $name => $entries) {
            [$plan, $prepared, $profile, $offer] = self::course($zone, $entries);
            foreach (self::beginnings($zone) as $from) {
                $schedule = $prepared->schedule(new Pass('o', $from), $offer);
                $releases = $profile->pacing->steps->releases($from);
                $closings = $profile->pacing->steps->closing->instants($releases, $from);
                self::assertSame($schedule->release, array_map(static fn (int $step): int => $releases[$step], $profile->pacing->releaseStep), "{$name} from {$from}");
                self::assertSame($schedule->closing, array_map(static fn (int $step): int => $closings[$step], $profile->pacing->closingStep), "{$name} from {$from}");
            }
            self::assertNotSame([], $plan->offers);
        }
    }

    #[DataProvider('zones')]
    public function test_what_has_come_is_told_without_dates_as_with_them(string $zone): void
    {
        foreach (self::rules() as $name => $entries) {
            [, , $profile] = self::course($zone, $entries);
            foreach (self::beginnings($zone) as $from) {
                $releases = $profile->pacing->steps->releases($from);
                $closings = $profile->pacing->steps->closing->instants($releases, $from);
                $asked = [];
                foreach (array_diff([...$releases, ...$closings, $from, $from + 300 * 86400], [Instant::NEVER]) as $instant) {
                    array_push($asked, $instant, $instant - 1, $instant + 1, $instant + 1800, $instant - 3600);
                }
                foreach ($asked as $at) {
                    $expected = implode('', array_map(static fn (int $release): string => $release <= $at ? "\x01" : "\x00", $releases));
                    self::assertSame(bin2hex($expected), bin2hex($profile->pacing->steps->released($from, $at, null)), "{$name} from {$from} at {$at}");
                    self::assertSame(bin2hex($expected), bin2hex($profile->pacing->steps->released($from, $at, $releases)), "{$name} from {$from} at {$at}, of instants");
                    self::assertTrue(min([Instant::NEVER, ...$closings]) > $at || $profile->pacing->steps->mayHaveClosed($from, $at), "{$name} from {$from} at {$at}: something has closed");
                }
            }
        }
    }

    #[DataProvider('zones')]
    public function test_what_has_closed_is_told_without_dates_as_with_them(string $zone): void
    {
        $told = 0;
        foreach (self::rules() as $name => $entries) {
            $entries = array_map(static fn (array $entry): array => ['closes' => ['rule' => 'after_open', 'days' => 5], ...$entry], $entries);
            [, , $profile] = self::course($zone, ['d2' => ['opens' => ['rule' => 'at_once'], 'closes' => ['rule' => 'after_open', 'days' => 0]], ...$entries]);
            foreach (self::beginnings($zone) as $from) {
                $closings = $profile->pacing->steps->closing->instants($profile->pacing->steps->releases($from), $from);
                foreach (array_diff([...$closings, $from], [Instant::NEVER]) as $instant) {
                    foreach ([$instant, $instant - 1, $instant + 1, $instant + 1800, $instant - 3600] as $at) {
                        $closed = $profile->pacing->steps->closed($from, $from, $at);
                        $told += $closed === null ? 0 : 1;
                        $expected = implode('', array_map(static fn (int $closing): string => $closing <= $at ? "\x01" : "\x00", $closings));
                        self::assertContains($closed === null ? null : bin2hex($closed), [null, bin2hex($expected)], "{$name} from {$from} at {$at}");
                    }
                }
            }
        }
        // Samoa skipped a whole day: there every pass goes step by step.
        self::assertSame($zone !== 'Pacific/Apia', $told > 500);
    }

    public function test_a_pass_paced_from_another_day_has_its_closings_worked_out(): void
    {
        [, , $profile] = self::course('Europe/Oslo', ['a' => [...self::after(3), 'closes' => ['rule' => 'after_open', 'days' => 5]]]);
        $from = Instant::parse('2026-01-05T10:00:00Z');
        self::assertNotNull($profile->pacing->steps->closed($from, $from, $from + 86400));
        self::assertNull($profile->pacing->steps->closed($from - 30 * 86400, $from, $from + 86400));
    }

    /** Begun at half past two, three days before the clock skips that time: what counts from the lesson of that day comes at half past three, on the day of another that does not. */
    public function test_bug_a_step_that_a_clock_change_moved_hid_another_of_the_same_day(): void
    {
        [$plan] = self::course('Europe/Oslo', ['a' => self::after(3), 'b' => self::after(7, previous: true), 'c' => self::after(10)]);
        $school = new \DateTimeZone('Europe/Oslo');
        $viewer = new Viewer(signedIn: true, passes: [new Pass('o', (new \DateTimeImmutable('2026-03-26 02:30', $school))->getTimestamp())]);
        $at = (new \DateTimeImmutable('2026-04-05 03:00', $school))->getTimestamp();

        $states = static fn (array $decisions): array => array_map(static fn (Decision $decision): string => $decision->state->value, array_slice($decisions, 0, 3));
        self::assertSame(['open', 'locked', 'open'], $states((new Decider($plan, $plan->courses['c']))->decide($viewer, $at)));
        self::assertSame(['open', 'locked', 'open'], $states((new CompiledDecider($plan, $plan->courses['c']))->decide($viewer, $at)));
    }

    /** On the night the clock is put forward half past two is half past three, after three o'clock. */
    public function test_bug_a_time_that_the_clock_skips_was_told_to_have_come_before_a_later_one(): void
    {
        [$plan] = self::course('Europe/Oslo', ['a' => self::after(3, time: '02:30'), 'b' => self::after(3, time: '03:00'), 'c' => self::after(3, time: '02:45')]);
        $school = new \DateTimeZone('Europe/Oslo');
        $viewer = new Viewer(signedIn: true, passes: [new Pass('o', (new \DateTimeImmutable('2026-03-26 10:00', $school))->getTimestamp())]);
        $at = (new \DateTimeImmutable('2026-03-29 03:15', $school))->getTimestamp();

        $states = static fn (array $decisions): array => array_map(static fn (Decision $decision): string => $decision->state->value, array_slice($decisions, 0, 3));
        self::assertSame(['locked', 'open', 'locked'], $states((new Decider($plan, $plan->courses['c']))->decide($viewer, $at)));
        self::assertSame(['locked', 'open', 'locked'], $states((new CompiledDecider($plan, $plan->courses['c']))->decide($viewer, $at)));
    }

    /** Begun at the second half past one of the night in which the clock is put back: after the first quarter to two, at which it was released for others, and so paced from half past one. */
    public function test_bug_of_an_hour_that_comes_twice_the_later_time_on_the_clock_was_taken_for_the_later_one(): void
    {
        [$plan] = self::course('America/New_York', ['a' => ['opens' => ['rule' => 'on', 'at' => '2026-11-01T01:45'], 'closes' => ['rule' => 'after_open', 'days' => 30]]]);
        $viewer = new Viewer(signedIn: true, passes: [new Pass('o', Instant::parse('2026-11-01T06:30:00Z'))]);
        $at = Instant::parse('2026-12-01T06:35:00Z');

        self::assertSame('locked', (new Decider($plan, $plan->courses['c']))->decide($viewer, $at)[0]->state->value);
        self::assertSame('locked', (new CompiledDecider($plan, $plan->courses['c']))->decide($viewer, $at)[0]->state->value);
    }

    public function test_rules_that_say_the_same_are_one_step_and_plain_ones_stand_in_their_order(): void
    {
        [, , $profile] = self::course('Europe/Oslo', ['a' => self::after(20), 'b' => self::after(5), 'c' => self::after(20), 'd' => self::after(5, time: '09:00')]);
        self::assertSame([2, 1, 2, 3], array_slice($profile->pacing->releaseStep, 0, 4));
        self::assertSame([0, 1, 2, 3], array_keys($profile->pacing->steps->releases(0)));
    }

    public function test_an_opening_of_another_kind_has_no_bound(): void
    {
        $opening = new class implements Opening
        {
            public function instant(int $start, ?int $previous, SchoolZone $zone): int
            {
                return $start + 5000 * 86400;
            }

            public function dated(): ?int
            {
                return null;
            }

            public function isRelative(): bool
            {
                return true;
            }

            public function countsFromPrevious(): bool
            {
                return false;
            }

            public function delay(): ?Delay
            {
                return null;
            }
        };
        $zone = SchoolZone::named('Europe/Oslo');
        $rules = [[1, 0, 0, $opening, 0, null, null]];
        $steps = new Steps($zone, [], [], [], [], $rules, $rules, new ClosingSteps($zone, [[new ClosesAfterOpening(2), 1, 0]]));

        self::assertSame([0, 5000 * 86400], $steps->releases(0));
        self::assertSame("\x01\x00", $steps->released(0, 4999 * 86400, null));
        self::assertSame("\x01\x01", $steps->released(0, 5000 * 86400, null));
        self::assertFalse($steps->haveAllCome(0, 6000 * 86400));
        self::assertTrue($steps->mayHaveClosed(0, 1));
    }

    public function test_of_a_pass_long_begun_no_date_is_worked_out(): void
    {
        [, , $profile] = self::course('Europe/Oslo', ['a' => self::after(20), 'b' => self::after(5, weekday: 2)]);
        $from = Instant::parse('2026-01-05T10:00:00Z');
        self::assertFalse($profile->pacing->steps->haveAllCome($from, $from + 20 * 86400));
        self::assertTrue($profile->pacing->steps->haveAllCome($from, $from + 40 * 86400));
    }

    /** @return iterable<string, array{string}> */
    public static function zones(): iterable
    {
        foreach (self::ZONES as $zone) {
            yield $zone => [$zone];
        }
    }

    /** @return iterable<string, array<string, mixed>> entries of a release plan on the items a, b, c, d and those inside of d */
    private static function rules(): iterable
    {
        yield 'plain' => ['a' => self::after(0), 'b' => self::after(30), 'c' => self::after(7), 'd' => self::after(3), 'd1' => self::after(2), 'd2' => self::after(90)];
        yield 'timed' => ['a' => self::after(0, time: '02:30'), 'b' => self::after(3, time: '09:00'), 'c' => self::after(3, time: '00:00'), 'd' => self::after(30, time: '23:59'), 'd1' => self::after(29, time: '08:00')];
        yield 'weekdays' => ['a' => self::after(0, weekday: 7), 'b' => self::after(10, weekday: 1), 'c' => self::after(4, time: '02:30', weekday: 7), 'd' => self::after(5, weekday: 3), 'd1' => self::after(2)];
        yield 'from the one before' => [
            'a' => self::after(0, time: '09:00'), 'b' => self::after(1, previous: true), 'c' => self::after(60, time: '02:15', previous: true), 'd' => self::after(1, previous: true),
            'd1' => self::after(3, weekday: 5, previous: true), 'd2' => self::after(7, previous: true),
        ];
        yield 'each a day after the one before' => ['a' => self::after(1), 'b' => self::after(1, previous: true), 'c' => self::after(1, previous: true), 'd' => self::after(1, previous: true), 'd1' => self::after(2, weekday: 3), 'd2' => self::after(1, previous: true)];
        yield 'two ways to one day' => ['a' => self::after(3), 'b' => self::after(7, previous: true), 'c' => self::after(10), 'd' => self::after(3, weekday: 2, previous: true), 'd1' => self::after(13, weekday: 2)];
        yield 'dates in each other' => [
            'a' => ['opens' => ['rule' => 'on', 'at' => '2026-04-05T01:45']], 'b' => ['opens' => ['rule' => 'on', 'at' => '2012-01-01T09:00']], 'c' => ['opens' => ['rule' => 'held']],
            'd' => ['opens' => ['rule' => 'on', 'at' => '2026-03-29T02:30']], 'd1' => ['opens' => ['rule' => 'on', 'at' => '2026-03-08T02:15']], 'd2' => ['opens' => ['rule' => 'on', 'at' => '2026-05-01T09:00']],
        ];
        yield 'dates and mixed' => [
            'a' => ['opens' => ['rule' => 'on', 'at' => '2026-03-29T02:30'], 'closes' => ['rule' => 'on', 'at' => '2026-05-01T09:00']], 'b' => self::after(3, previous: true),
            'c' => ['opens' => ['rule' => 'held']], 'd' => self::after(20), 'd1' => self::after(3, time: '09:00'), 'd2' => [...self::after(40), 'closes' => ['rule' => 'after_open', 'days' => 2]],
        ];
    }

    /** @return array{opens: array<string, mixed>} */
    private static function after(int $days, ?string $time = null, ?int $weekday = null, bool $previous = false): array
    {
        return ['opens' => array_filter(['rule' => $previous ? 'after_previous' : 'after_start', 'days' => $days, 'time' => $time, 'weekday' => $weekday], static fn (mixed $value): bool => $value !== null)];
    }

    /** @return list<int> instants around each clock change of a few years, and others */
    private static function beginnings(string $zone): array
    {
        $beginnings = [Instant::parse('1975-06-01T10:00:00Z'), Instant::parse('2026-02-28T12:00:00Z'), Instant::parse('2026-06-30T23:30:00Z')];
        foreach ((new \DateTimeZone($zone))->getTransitions(Instant::parse('2011-06-01T00:00:00Z'), Instant::parse('2012-06-01T00:00:00Z')) ?: [] as $change) {
            foreach ([0, -1800, 1800, -5400, 5400, -7 * 86400, -7 * 86400 + 1800, -30 * 86400 - 1800] as $off) {
                $beginnings[] = $change['ts'] + $off;
            }
        }
        // Some zones changed their clocks at another time of day then.
        foreach ((new \DateTimeZone($zone))->getTransitions(Instant::parse('1979-01-01T00:00:00Z'), Instant::parse('1979-12-31T00:00:00Z')) ?: [] as $change) {
            array_push($beginnings, $change['ts'] - 86400 + 900, $change['ts'] - 2 * 86400 + 1800);
        }
        foreach ((new \DateTimeZone($zone))->getTransitions(Instant::parse('2026-01-01T00:00:00Z'), Instant::parse('2026-12-31T00:00:00Z')) ?: [] as $change) {
            foreach ([-86400 + 900, -3 * 86400 - 900, 900, -900] as $off) {
                $beginnings[] = $change['ts'] + $off;
            }
        }

        return $beginnings;
    }

    /**
     * @param  array<string, mixed>  $entries
     * @return array{Plan, PreparedCourse, Profile, Offer}
     */
    private static function course(string $zone, array $entries): array
    {
        $plan = D::plan(
            [D::lesson('a'), D::lesson('b'), D::lesson('c'), D::module('d', [D::lesson('d1'), D::lesson('d2')])],
            ['plans' => ['p' => (object) $entries]], [['key' => 'o', 'course' => 'c', 'plan' => 'p']], ['zone' => $zone],
        );
        $compiled = new CompiledDecider($plan, $plan->courses['c']);
        $profile = $compiled->compiled->profile('o');
        self::assertNotNull($profile);

        return [$plan, $compiled->compiled->prepared, $profile, $plan->offers['o']];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\Comparing\Between;
use SilentKeep\Core\Foresight\Comparing\Change;
use SilentKeep\Core\Foresight\Comparing\Stage;
use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;
use Tests\Core\RandomPlans;

/** What became otherwise between two instants, and by what. */
final class BetweenTest extends TestCase
{
    private const DAY = 86400;

    private const SEEDS = 40;

    /**
     * @param  list<array{int, Plan, Viewer, string}>  $stages  days after the beginning, rules, who, and by what
     * @param  array<string, array{string, ?string}>  $expected  effect and cause by item
     */
    #[DataProvider('courses_of_events')]
    public function test_each_item_has_one_effect_and_one_cause(array $stages, int $days, array $expected): void
    {
        self::assertSame($expected, self::told(self::between($stages, $days)));
    }

    /** @return \Generator<string, array{list<array{int, Plan, Viewer, string}>, int, array<string, array{string, ?string}>}> */
    public static function courses_of_events(): \Generator
    {
        $paced = static fn (?array $opens, ?array $closes = null): Plan => D::plan([D::lesson('a')], ['plans' => ['w' => ['a' => (object) array_filter(['opens' => $opens, 'closes' => $closes])]]], [['key' => 'o', 'course' => 'c', 'plan' => 'w']]);
        $after = static fn (int $days): Plan => $paced(['rule' => 'after_start', 'days' => $days]);
        $plain = D::plan([D::lesson('a')]);
        $shut = D::plan([D::lesson('a', tiers: [])]);
        $two = D::plan([D::lesson('a'), D::lesson('b', after: ['all' => ['a']])]);
        $nobody = new Viewer(signedIn: true);
        $holds = static fn (?int $days = null): Viewer => new Viewer(signedIn: true, passes: [new Pass('o', self::at(), $days === null ? Instant::NEVER : self::at() + $days * self::DAY)]);
        $finished = static fn (Viewer $viewer): Viewer => new Viewer(signedIn: true, passes: $viewer->passes, done: ['a' => self::at()]);

        yield 'nothing happened' => [[[0, $plain, $holds(), '']], 9, []];
        yield 'its day came' => [[[0, $after(5), $holds(), '']], 9, ['a' => ['gain', null]]];
        yield 'their pass ended' => [[[0, $plain, $holds(5), '']], 9, ['a' => ['lose', null]]];
        yield 'a pass was given' => [[[0, $plain, $nobody, ''], [3, $plain, $holds(), 'given']], 9, ['a' => ['gain', 'given']]];
        yield 'given, then taken back: nothing in the end' => [[[0, $plain, $nobody, ''], [3, $plain, $holds(), 'given'], [4, $plain, $nobody, 'back']], 9, []];
        yield 'shut, then opened again by somebody else' => [[[0, $shut, $holds(), ''], [2, $plain, $holds(), 'first'], [3, $shut, $holds(), 'second'], [4, $plain, $holds(), 'third']], 9, ['a' => ['gain', 'third']]];
        yield 'given early, and then it would have been its day' => [[[0, $after(5), $holds(), ''], [2, $plain, $holds(), 'rules']], 9, ['a' => ['gain', 'rules']]];
        yield 'moved later, and its day is still to come' => [[[0, $after(20), $holds(), ''], [2, $after(30), $holds(), 'rules']], 9, ['a' => ['later', 'rules']]];
        yield 'moved, and moved back' => [[[0, $after(20), $holds(), ''], [2, $after(30), $holds(), 'rules'], [3, $after(20), $holds(), 'again']], 9, []];
        yield 'moved twice: the last cause, and the way in all' => [[[0, $after(20), $holds(), ''], [2, $after(40), $holds(), 'rules'], [3, $after(30), $holds(), 'again']], 9, ['a' => ['later', 'again']]];
        yield 'moved later than the end' => [[[0, $after(5), $holds(), ''], [2, $after(30), $holds(), 'rules']], 9, ['a' => ['later', 'rules']]];
        yield 'comes no more' => [[[0, $after(20), $holds(), ''], [2, $after(20), $nobody, 'withdrawn']], 9, ['a' => ['never', 'withdrawn']]];
        yield 'shut until a later day' => [[[0, $plain, $holds(), ''], [2, $after(30), $holds(), 'rules']], 9, ['a' => ['pause', 'rules']]];
        yield 'extended' => [[[0, $plain, $holds(30), ''], [2, $plain, $holds(60), 'extended']], 9, ['a' => ['longer', 'extended']]];
        yield 'extended, and it would have ended' => [[[0, $plain, $holds(5), ''], [2, $plain, $holds(60), 'extended']], 9, ['a' => ['longer', 'extended']]];
        yield 'ended, then given anew' => [[[0, $plain, $holds(5), ''], [7, $plain, $holds(60), 'given']], 9, ['a' => ['longer', 'given']]];
        yield 'withdrawn, then given for good: longer by what was given' => [[[0, $plain, $holds(60), ''], [2, $plain, $nobody, 'withdrawn'], [3, $plain, $holds(), 'given']], 9, ['a' => ['longer', 'given']]];
        yield 'shortened' => [[[0, $plain, $holds(60), ''], [2, $plain, $holds(30), 'shortened']], 9, ['a' => ['shorter', 'shortened']]];
        yield 'what comes first was finished' => [[[0, $two, $holds(), ''], [2, $two, $finished($holds()), 'finished']], 9, ['b' => ['gain', 'finished']]];
        $dated = D::plan([D::lesson('a'), D::lesson('b', after: ['all' => ['a']])], ['plans' => ['w' => ['b' => (object) ['opens' => ['rule' => 'after_start', 'days' => 20]]]]], [['key' => 'o', 'course' => 'c', 'plan' => 'w']]);
        yield 'waits for a day, then for them alone again' => [[[0, $two, $holds(), ''], [2, $dated, $holds(), 'rules'], [4, $two, $holds(), 'again']], 9, []];
        $sample = static fn (int $days): Plan => D::plan([D::lesson('a', sample: true)], ['plans' => ['w' => ['a' => (object) ['opens' => ['rule' => 'after_start', 'days' => $days]]]]], [['key' => 'o', 'course' => 'c', 'plan' => 'w']]);
        yield 'open to look at, and later to work in' => [[[0, $sample(20), $holds(), ''], [2, $sample(30), $holds(), 'rules']], 9, ['a' => ['later', 'rules']]];
        yield 'what waits for them waits, however long' => [[[0, $two, $holds(), '']], 90, []];
        yield 'an item taken out, one brought in' => [[[0, D::plan([D::lesson('a')]), $holds(), ''], [2, D::plan([D::lesson('n')]), $holds(), 'rules']], 9, ['n' => ['gain', 'rules'], 'a' => ['lose', 'rules']]];
        yield 'from looking to working' => [[[0, D::plan([D::lesson('a', sample: true, tiers: [])]), $holds(), ''], [2, D::plan([D::lesson('a', sample: true)]), $holds(), 'rules']], 9, ['a' => ['gain_work', 'rules']]];
    }

    public function test_a_course_that_was_not_there_opens_with_its_first_rules(): void
    {
        $decider = self::decider(D::plan([D::lesson('a')]));
        $holder = new Viewer(signedIn: true, passes: [new Pass('o', self::at())]);
        $changes = (new Between)->of([new Stage(null, null, $holder, self::at(), ''), new Stage($decider, CompiledDecider::of($decider->prepared), $holder, self::at() + self::DAY, 'rules')], self::at() + 9 * self::DAY, self::at() + 100 * self::DAY);
        self::assertSame(['a' => ['gain', 'rules']], self::told($changes));
    }

    #[DataProvider('seeds')]
    public function test_one_stage_at_the_beginning_does_what_the_impact_of_the_change_is(int $seed): void
    {
        [$before, $after] = [RandomPlans::plan($seed), RandomPlans::plan($seed + 500)];
        mt_srand($seed);
        for ($n = 0; $n < 12; $n++) {
            $viewer = RandomPlans::viewer($n % 2 === 0 ? $before : $after);
            $at = RandomPlans::instant();
            $until = $at + mt_rand(0, 120) * self::DAY;
            $told = [];
            foreach ((new Impact($before, $after, 'c', $at, $until))->on([new Person('p', $viewer)])->toArray(names: false)['items'] as $row) {
                foreach (array_keys($row, 1, true) as $effect) {
                    $told[is_string($row['item']) ? $row['item'] : ''] = [$effect, 'rules'];
                }
            }
            $changes = self::told((new Between)->of([self::stage($before, $viewer, $at, ''), self::stage($after, $viewer, $at, 'rules')], $at, $until));
            ksort($told);
            ksort($changes);
            self::assertSame($told, $changes, "{$seed}, {$n}");
        }
    }

    #[DataProvider('seeds')]
    public function test_gained_and_lost_is_what_is_open_at_the_end_and_was_not_at_the_beginning(int $seed): void
    {
        mt_srand($seed);
        for ($n = 0; $n < 6; $n++) {
            $instants = array_map(static fn (): int => RandomPlans::instant(), range(0, 4));
            sort($instants);
            $plans = array_map(static fn (int $stage): Plan => RandomPlans::plan($seed * 10 + $stage % 2), range(0, 3));
            mt_srand($seed + $n);
            $stages = array_map(static fn (int $stage): Stage => self::stage($plans[$stage], RandomPlans::viewer($plans[$stage]), $instants[$stage], "stage {$stage}"), range(0, 3));
            $open = static fn (Stage $stage, int $at): array => array_keys(array_filter(self::states($stage, $at), static fn (State $state): bool => $state === State::Open));
            $was = $open($stages[0], $instants[0]);
            $is = $open($stages[3], $instants[4]);
            $changes = (new Between)->of($stages, $instants[4], $instants[4] + 90 * self::DAY);
            $of = static fn (Effect ...$effects): array => array_map(strval(...), array_keys(array_filter($changes, static fn (Change $change): bool => in_array($change->effect, $effects, true))));
            self::assertEqualsCanonicalizing(array_values(array_diff($is, $was)), $of(Effect::Gain));
            self::assertEqualsCanonicalizing(array_values(array_diff($was, $is)), $of(Effect::Lose, Effect::Pause));
            foreach ($changes as $change) {
                self::assertContains($change->cause, ['stage 1', 'stage 2', 'stage 3', null]);
                // Time alone opens and shuts; it moves nothing.
                self::assertTrue($change->cause !== null || in_array($change->effect, [Effect::Gain, Effect::Lose, Effect::Pause, Effect::GainWork, Effect::LoseWork], true));
            }
        }
    }

    /** @return \Generator<string, array{int}> */
    public static function seeds(): \Generator
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /**
     * @param  list<array{int, Plan, Viewer, string}>  $stages
     * @return array<array-key, Change>
     */
    private static function between(array $stages, int $days): array
    {
        $made = array_map(static fn (array $one): Stage => self::stage($one[1], $one[2], self::at() + $one[0] * self::DAY, $one[3]), $stages);

        return (new Between)->of($made === [] ? throw new \LogicException : $made, self::at() + $days * self::DAY, self::at() + 100 * self::DAY);
    }

    /**
     * @param  array<array-key, Change>  $changes
     * @return array<array-key, array{string, ?string}>
     */
    private static function told(array $changes): array
    {
        return array_map(static fn (Change $change): array => [$change->effect->value, $change->cause], $changes);
    }

    private static function stage(Plan $plan, Viewer $viewer, int $at, string $cause): Stage
    {
        $decider = self::decider($plan);

        return new Stage($decider, CompiledDecider::of($decider->prepared), $viewer, $at, $cause);
    }

    private static function decider(Plan $plan): Decider
    {
        return new Decider($plan, $plan->course('c') ?? throw new \LogicException);
    }

    /** @return array<string, State> by item, as the definition has it */
    private static function states(Stage $stage, int $at): array
    {
        $states = [];
        foreach ($stage->decider?->decide($stage->viewer, $at) ?? [] as $decision) {
            $states[$decision->item] = $decision->state;
        }

        return $states;
    }

    private static function at(): int
    {
        return Instant::parse('2026-03-10T12:00:00Z');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\Chronicle;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\Standing;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\Definition\SteppingImpact;
use SilentKeep\Core\Foresight\Definition\SteppingReach;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** What must hold whatever the plan, the viewer and the instant. */
final class PropertiesTest extends TestCase
{
    private const SEEDS = 60;

    private const VIEWERS = 6;

    #[DataProvider('seeds')]
    public function test_the_compiled_form_gives_the_answers_of_the_definition(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $compiled = CompiledDecider::of($decider->prepared);
            self::assertSame(self::answer($decider->decide($viewer, $at)), self::answer($compiled->decide($viewer, $at)));
            $states = implode('', array_map(static fn (Standing $standing): string => $standing->state->value[0], $decider->snapshot($viewer, $at)->standings));
            self::assertSame($states, $compiled->states($compiled->viewer($viewer, $at), $at));
        });
    }

    #[DataProvider('seeds')]
    public function test_a_chronicle_holds_the_answers_of_every_instant(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $compiled = CompiledDecider::of($decider->prepared);
            $from = $at - mt_rand(0, 60) * 86400;
            $chronicle = (new Chronicle($compiled))->of($viewer, $from);
            $instants = array_keys($chronicle);
            self::assertSame($from, $instants[0]);
            $asked = [$from, $at, ...array_map(static fn (): int => $from + mt_rand(0, 200 * 86400), range(1, 4))];
            foreach ($instants as $instant) {
                array_push($asked, $instant, max($from, $instant - 1));
            }
            foreach ($asked as $when) {
                $holds = max([$from, ...array_filter($instants, static fn (int $instant): bool => $instant <= $when)]);
                self::assertSame(self::answer($compiled->decide($viewer, $when)), self::answer($chronicle[$holds]->decisions()), "at {$when}");
            }
        }, viewers: 3);
    }

    #[DataProvider('seeds')]
    public function test_reach_in_one_sweep_is_the_stepping_reach(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $before = mt_rand(0, 2) === 0 ? Instant::NEVER : $at + mt_rand(0, 90) * 86400;
            $swept = (new Reaching($decider))->reach($viewer, $at, $before);
            $stepped = (new SteppingReach($decider))->reach($viewer, $at, $before);
            self::assertSame([$stepped->open, $stepped->works], [$swept->open, $swept->works]);
            self::assertEqualsCanonicalizing($stepped->afterwards->done, $swept->afterwards->done);
        }, $seed % 3 === 0);
    }

    #[DataProvider('seeds')]
    public function test_ways_into_all_items_are_the_ways_into_each(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $ways = new WaysIn($decider, $decider->prepared->plan->zone);
            $all = $ways->all($viewer, $at);
            foreach ($decider->course->outline->items as $position => $item) {
                self::assertEqualsCanonicalizing(array_map(static fn (WayIn $way): string => $way->offer->key, $ways->to($item->key, $viewer, $at)), $all[$position] ?? [], $item->key);
            }
        }, viewers: 2);
    }

    #[DataProvider('seeds')]
    public function test_impact_by_masks_is_the_stepping_impact(int $seed): void
    {
        $before = RandomPlans::plan($seed, $seed % 4 === 0);
        $after = $seed % 2 === 0 ? self::oneEdit($seed) : RandomPlans::plan($seed + 1000, false);
        mt_srand($seed);
        $people = [];
        for ($n = 0; $n < 5; $n++) {
            $people[] = new Person("p{$n}", RandomPlans::viewer($before));
        }
        $at = RandomPlans::instant();
        $until = $at + mt_rand(0, 120) * 86400;

        self::assertSame(
            (new SteppingImpact($before, $after, 'c', $at, $until))->on($people)->toArray(true),
            (new Impact($before, $after, 'c', $at, $until))->on($people)->toArray(true),
        );
    }

    #[DataProvider('seeds')]
    public function test_what_is_open_stays_open_with_another_grant_or_pass(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $items = $decider->course->outline->items;
            $now = self::openItems($decider, $viewer, $at);
            $grant = new Grant($items[mt_rand(0, count($items) - 1)]->key, $at - 60);
            self::assertSame([], array_diff($now, self::openItems($decider, $viewer->withGrant($grant), $at)));
            $pass = RandomPlans::pass();
            // A label that comes with a pass may shut what is for those without it.
            if ($decider->prepared->plan->offer($pass->offer)?->labels === []) {
                self::assertSame([], array_diff($now, self::openItems($decider, $viewer->withPass($pass), $at)));
            }
        });
    }

    #[DataProvider('seeds')]
    public function test_next_is_the_first_change_and_nothing_changes_before(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            $now = $decider->decide($viewer, $at);
            // Done later than the ask stays undone in its look ahead.
            $viewer = Decider::asOf($viewer, $at);
            foreach ($now as $position => $decision) {
                $state = static fn (int $when): State => $decider->snapshot($viewer, $when)->standings[$position]->state;
                if ($decision->next === null) {
                    self::assertSame($decision->state, $state($at + mt_rand(1, 400) * 86400), $decision->item);

                    continue;
                }
                self::assertGreaterThan($at, $decision->next->at);
                self::assertSame($decision->next->state, $state($decision->next->at), $decision->item);
                self::assertNotSame($decision->state, $decision->next->state);
                self::assertSame($decision->state, $state($decision->next->at - 1), $decision->item);
                self::assertSame($decision->state, $state(mt_rand($at, $decision->next->at - 1)), $decision->item);
            }
        }, viewers: 2);
    }

    #[DataProvider('seeds')]
    public function test_the_answer_names_every_item_in_reading_order(int $seed): void
    {
        $document = RandomPlans::document($seed);
        $keys = [];
        $walk = static function (array $items) use (&$walk, &$keys): void {
            foreach ($items as $item) {
                $keys[] = $item->key;
                $walk($item->items ?? []);
            }
        };
        $walk($document->courses[0]->items);
        $plan = PlanReader::fromDecoded($document);
        $decisions = (new Decider($plan, $plan->courses['c']))->decide(RandomPlans::viewer($plan), RandomPlans::instant());

        self::assertSame($keys, array_map(static fn (Decision $decision): string => $decision->item, $decisions));
    }

    #[DataProvider('seeds')]
    public function test_a_plan_written_and_read_again_decides_the_same(int $seed): void
    {
        $document = RandomPlans::document($seed);
        $first = PlanReader::fromDecoded($document);
        $again = PlanReader::fromJson(Documents::json($document));
        mt_srand($seed);
        $viewer = RandomPlans::viewer($first);
        $at = RandomPlans::instant();

        self::assertSame(
            self::answer((new Decider($first, $first->courses['c']))->decide($viewer, $at)),
            self::answer((new Decider($again, $again->courses['c']))->decide($viewer, $at)),
        );
    }

    #[DataProvider('seeds')]
    public function test_an_observer_who_follows_sees_no_more_than_the_learner(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            if ($viewer->observes === null || ! $decider->course->observerDoor->follow || $viewer->staff) {
                return;
            }
            $learner = $viewer->observes->asObserved()->asGuest(false);
            $theirs = $decider->snapshot($learner, $at)->standings;
            foreach ($decider->snapshot($viewer, $at)->standings as $position => $standing) {
                $namesKind = array_filter($decider->course->outline->path[$position], static fn (int $step): bool => self::namesAKind($decider->course->outline->items[$step]));
                // A course may be kept open to the observer by a pass of the observer's own.
                if ($standing->via === Route::Observer && $namesKind === [] && $decider->course->state->value !== 'retired') {
                    self::assertTrue($theirs[$position]->isOpen(), $decider->course->outline->items[$position]->key);
                }
            }
        }, viewers: 20);
    }

    #[DataProvider('seeds')]
    public function test_a_pass_opens_from_its_first_instant_and_no_longer_at_its_last(int $seed): void
    {
        $this->forViewers($seed, static function (Decider $decider, Viewer $viewer, int $at): void {
            foreach ($viewer->passes as $pass) {
                self::assertSame($pass->from < $pass->until && $pass->state->value === 'active', $pass->isActive($pass->from));
                self::assertFalse($pass->isActive($pass->from - 1));
                self::assertFalse($pass->isActive($pass->until));
            }
        });
    }

    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, self::SEEDS));
    }

    public function test_a_pass_that_has_ended_opens_nothing_for_what_another_pass_lets_one_finish(): void
    {
        $decider = Documents::decider(
            [Documents::lesson('a'), Documents::board('b', after: ['all' => ['a']])],
            ['plans' => ['late' => ['a' => ['opens' => ['rule' => 'after_start', 'days' => 9]]]]],
            [['key' => 'short', 'course' => 'c', 'plan' => 'late'], ['key' => 'other', 'course' => 'c', 'plan' => 'late', 'scope' => ['a']]],
        );
        $viewer = new Viewer(signedIn: true, passes: [new Pass('short', 0, 5 * 86400), new Pass('other', 0)]);
        $reach = (new Reaching($decider))->reach($viewer, 0);

        self::assertSame([9 * 86400, null], $reach->open);
        self::assertSame((new SteppingReach($decider))->reach($viewer, 0)->open, $reach->open);
    }

    public function test_a_module_recorded_as_done_is_complete_by_its_lessons_only(): void
    {
        $decider = Documents::decider(
            [Documents::lesson('a'), Documents::module('m', [Documents::lesson('b')]), Documents::lesson('z')],
            ['in_order' => true],
        );
        $viewer = new Viewer(signedIn: true, passes: [new Pass('o', 0)], done: ['m' => 0]);

        self::assertSame(self::answer($decider->decide($viewer, 100)), self::answer(CompiledDecider::of($decider->prepared)->decide($viewer, 100)));
        self::assertSame(['progress'], $decider->decide($viewer, 100)[1]->toArray()['why']);
    }

    /** @param  \Closure(Decider, Viewer, int): void  $check */
    private function forViewers(int $seed, \Closure $check, bool $conditionsOnDone = true, int $viewers = self::VIEWERS): void
    {
        $plan = RandomPlans::plan($seed, $conditionsOnDone);
        $decider = new Decider($plan, $plan->courses['c']);
        for ($n = 0; $n < $viewers; $n++) {
            $check($decider, RandomPlans::viewer($plan), RandomPlans::instant());
        }
        $this->addToAssertionCount(1);
    }

    private static function oneEdit(int $seed): \SilentKeep\Core\Outline\Plan
    {
        $document = RandomPlans::document($seed, $seed % 4 === 0);
        foreach ($document->courses[0]->plans as $plan) {
            foreach ($plan as $entry) {
                if (isset($entry->opens->days)) {
                    $entry->opens->days += 5;
                }
            }
        }
        $document->courses[0]->items[0]->tiers = ['gold'];

        return PlanReader::fromDecoded($document);
    }

    /** Of observers, or of others so that observers are told apart from learners ("not learners"). */
    private static function namesAKind(Item $item): bool
    {
        return str_contains(serialize($item->only), 'ViewerKind:');
    }

    /** @param  list<Decision>  $decisions */
    private static function answer(array $decisions): string
    {
        return Documents::json(array_map(static fn (Decision $decision): array => $decision->toArray(), $decisions));
    }

    /** @return list<string> */
    private static function openItems(Decider $decider, Viewer $viewer, int $at): array
    {
        $open = [];
        foreach ($decider->snapshot($viewer, $at)->standings as $position => $standing) {
            if ($standing->isOpen()) {
                $open[] = $decider->course->outline->items[$position]->key;
            }
        }

        return $open;
    }
}

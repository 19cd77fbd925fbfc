<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Foresight\ProgressCount;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;
use Tests\Core\RandomPlans;

final class ProgressCountTest extends TestCase
{
    private const NOW = 1_772_366_400;

    /** @param  array{int, int, int}  $count */
    #[DataProvider('people')]
    public function test_lessons_finished_of_those_that_are_asked(array $count, Viewer $viewer): void
    {
        $decider = D::decider(
            [D::board('news'), D::module('m', [D::lesson('a'), D::lesson('extra', optional: true)]), D::lesson('gold', tiers: ['gold']), D::lesson('hid', only: ['label' => 'red'], when_closed: 'hide'), D::lesson('next', draft: true)],
            ['tiers' => ['tin', 'gold'], 'observer_door' => ['open' => true, 'default' => true, 'follow' => true]],
            [['key' => 'tin', 'course' => 'c', 'tier' => 'tin'], ['key' => 'gold', 'course' => 'c', 'tier' => 'gold']],
        );
        self::assertSame($count, (new ProgressCount(CompiledDecider::of($decider->prepared)))->of($viewer, self::NOW));
    }

    /** @return \Generator<string, array{array{int, int, int}, Viewer}> */
    public static function people(): \Generator
    {
        $with = static fn (string $offer, array $done = [], PassState $state = PassState::Active): Viewer => new Viewer(signedIn: true, passes: [new Pass($offer, self::NOW - 9, self::NOW + 9, $state)], done: $done);
        yield 'nothing done' => [[0, 1, 1], $with('tin')];
        yield 'done in the same second' => [[1, 1, 1], $with('tin', ['a' => self::NOW])];
        yield 'done later' => [[0, 1, 1], $with('tin', ['a' => self::NOW + 1])];
        yield 'optional ones are told apart' => [[0, 1, 0], $with('tin', ['extra' => self::NOW])];
        yield 'another tier is asked more' => [[1, 2, 1], $with('gold', ['a' => self::NOW])];
        yield 'a label asks for one more' => [[0, 2, 1], $with('tin')->withLabel('red')];
        yield 'without an active pass all that may be known of' => [[0, 2, 1], $with('tin', state: PassState::Paused)];
        yield 'of whom one looks with, theirs' => [[1, 2, 1], (new Viewer(signedIn: true, done: ['extra' => self::NOW]))->observing($with('gold', ['a' => self::NOW]))];
        yield 'who works for the school sees what is hidden, and no draft is asked' => [[0, 3, 1], new Viewer(staff: true, signedIn: true)];
    }

    public function test_it_is_what_the_definition_says_of_random_people(): void
    {
        $some = 0;
        for ($seed = 0; $seed < 150; $seed++) {
            $plan = RandomPlans::plan($seed, $seed % 3 === 0);
            foreach ($plan->courses as $course) {
                $decider = new Decider($plan, $course);
                $count = new ProgressCount(CompiledDecider::of($decider->prepared));
                for ($person = 0; $person < 4; $person++) {
                    [$viewer, $at] = [RandomPlans::viewer($plan), RandomPlans::instant()];
                    self::assertSame($expected = self::defined($decider, $viewer, $at), $count->of($viewer, $at), "Plan {$seed}");
                    $some += $expected[0] > 0 && $expected[0] < $expected[1] ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(30, $some);
    }

    /** @return array{int, int, int} item by item, as the standings say */
    private static function defined(Decider $decider, Viewer $viewer, int $at): array
    {
        $snapshot = $decider->snapshot($viewer, $at);
        $whose = $snapshot->learner() ?? $snapshot;
        $done = array_filter(($viewer->observes ?? $viewer)->done, static fn (int $since): bool => $since <= $at);
        $outline = $decider->course->outline;
        $count = [0, 0, 0];
        foreach ($decider->decide($viewer, $at) as $item => $decision) {
            $asked = $whose->holdsActivePass() ? $whose->countsForAPass($item) : ! $outline->draftOnPath[$item];
            if ($outline->items[$item]->kind !== Kind::Lesson || ! $asked || $decision->state === State::Hidden) {
                continue;
            }
            $isDone = isset($done[$outline->items[$item]->key]);
            if ($outline->optionalOnPath[$item] > 0) {
                $count[2] += $isDone ? 0 : 1;
            } else {
                $count[0] += $isDone ? 1 : 0;
                $count[1]++;
            }
        }

        return $count;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Whereabouts;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;
use Tests\Core\RandomPlans;

final class WhereaboutsTest extends TestCase
{
    private const NOW = 1_772_366_400;

    /** @param  array<string, int>  $done  instants by item */
    #[DataProvider('people')]
    public function test_the_place_of_the_next_lesson_that_is_asked(string $offer, array $done, ?string $place, int $from = self::NOW - 9, int $until = self::NOW + 9, PassState $state = PassState::Active): void
    {
        $decider = D::decider(
            [D::board('news'), D::module('m', [D::lesson('a'), D::lesson('extra', optional: true)]), D::module('n', [D::module('inner', [D::lesson('b'), D::lesson('high', tiers: ['gold'])])]), D::lesson('end'), D::lesson('next', draft: true)],
            ['tiers' => ['tin', 'gold']],
            [['key' => 'tin', 'course' => 'c', 'tier' => 'tin'], ['key' => 'gold', 'course' => 'c', 'tier' => 'gold'], ['key' => 'board', 'course' => 'c', 'scope' => ['news']]],
        );
        $where = new Whereabouts(CompiledDecider::of($decider->prepared));

        self::assertSame($place, $where->of(new Viewer(signedIn: true, passes: [new Pass($offer, $from, $until, $state)], done: $done), self::NOW));
        self::assertSame(['m', 'n', 'end'], $where->places());
    }

    /** @return \Generator<string, array<array-key, mixed>> */
    public static function people(): \Generator
    {
        $before = self::NOW - 1;
        yield 'nothing done' => ['tin', [], 'm'];
        yield 'what is optional is not asked' => ['tin', ['a' => $before], 'n'];
        yield 'what is done in the same second is done' => ['tin', ['a' => self::NOW], 'n'];
        yield 'what is done later is not yet' => ['tin', ['a' => self::NOW + 1], 'm'];
        yield 'what is for another tier is not asked' => ['tin', ['a' => $before, 'b' => $before], 'end'];
        yield 'of whoever has that tier it is' => ['gold', ['a' => $before, 'b' => $before], 'n'];
        yield 'a later one first changes nothing' => ['gold', ['end' => $before], 'm'];
        yield 'all done, but the draft' => ['tin', ['a' => $before, 'b' => $before, 'end' => $before], Whereabouts::THROUGH];
        yield 'nothing is asked by a pass for a board' => ['board', [], null];
        yield 'a pass that begins' => ['tin', [], 'm', self::NOW];
        yield 'a pass that comes' => ['tin', [], null, self::NOW + 1];
        yield 'a pass that ends' => ['tin', [], null, self::NOW - 9, self::NOW];
        yield 'a paused pass' => ['tin', [], null, self::NOW - 9, self::NOW + 9, PassState::Paused];
    }

    public function test_it_is_what_the_definition_says_of_random_people(): void
    {
        $somewhere = 0;
        for ($seed = 0; $seed < 120; $seed++) {
            $plan = RandomPlans::plan($seed);
            foreach ($plan->courses as $course) {
                $decider = new Decider($plan, $course);
                $where = new Whereabouts(CompiledDecider::of($decider->prepared));
                for ($person = 0; $person < 4; $person++) {
                    [$viewer, $at] = [RandomPlans::viewer($plan), RandomPlans::instant()];
                    $expected = self::defined($decider, $viewer, $at);
                    self::assertSame($expected, $where->of($viewer, $at), "Plan {$seed}");
                    $somewhere += $expected !== null && $expected !== Whereabouts::THROUGH ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(40, $somewhere);
    }

    private static function defined(Decider $decider, Viewer $viewer, int $at): ?string
    {
        $snapshot = $decider->snapshot($viewer, $at);
        $outline = $decider->course->outline;
        $asked = false;
        foreach ($outline->items as $position => $item) {
            if ($item->kind !== Kind::Lesson || $outline->optionalOnPath[$position] > 0 || ! $snapshot->countsForAPass($position)) {
                continue;
            }
            $asked = true;
            if (($viewer->done[$item->key] ?? PHP_INT_MAX) > $at) {
                return $outline->items[$outline->path[$position][0]]->key;
            }
        }

        return $asked ? '' : null;
    }
}

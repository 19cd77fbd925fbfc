<?php

declare(strict_types=1);

namespace Tests\Core\Deciding;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Time\Instant;
use Tests\Core\Documents as D;

/** The first change that time alone will bring to the item `a`, asked at noon UTC on 10 March 2026. */
final class NextChangeTest extends TestCase
{
    private const NOW = '2026-03-10T12:00:00Z';

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  array<string, mixed>  $viewer
     */
    #[DataProvider('changes')]
    public function test_next(array $items, array $course, array $viewer, ?string $next, bool $paced = false): void
    {
        $plan = D::plan($items, $course, [['key' => 'o', 'course' => 'c', ...($paced ? ['plan' => 'w'] : [])]]);
        $decider = new Decider($plan, $plan->courses['c']);
        $who = (new AskReader($plan))->viewer(D::decoded((object) $viewer));
        foreach ([$decider, CompiledDecider::of($decider->prepared)] as $form) {
            $change = array_column($form->decide($who, Instant::parse(self::NOW)), null, 'item')['a']->next;
            self::assertSame($next, $change === null ? null : $change->state->value.' '.Instant::format($change->at));
        }
    }

    /** @return \Generator<string, list<mixed>> */
    public static function changes(): \Generator
    {
        $one = [D::lesson('a')];
        $pass = static fn (mixed ...$more): array => ['signed_in' => true, 'passes' => [['offer' => 'o', 'from' => '2026-03-01T08:00:00Z', ...$more]]];
        $grant = static fn (?string $from, ?string $until): array => ['signed_in' => true, 'grants' => [['item' => 'a', 'from' => $from, 'until' => $until]]];
        $plan = static fn (array $entry): array => ['plans' => ['w' => ['a' => $entry]]];

        yield 'a pass for good' => [$one, [], $pass(), null];
        yield 'a pass that ends' => [$one, [], $pass(until: '2026-03-20T08:00:00Z'), 'locked 2026-03-20T08:00:00Z'];
        yield 'a pass that begins' => [$one, [], $pass(from: '2026-03-20T08:00:00Z'), 'open 2026-03-20T08:00:00Z'];
        yield 'a paused pass does not end' => [$one, [], $pass(until: '2026-03-20T08:00:00Z', state: 'paused'), null];
        yield 'one pass ends while another lasts' => [$one, [], ['signed_in' => true, 'passes' => [['offer' => 'o', 'from' => '2026-03-01T08:00:00Z', 'until' => '2026-03-20T08:00:00Z'], ['offer' => 'o', 'from' => '2026-03-15T08:00:00Z']]], null];
        $two = static fn (array $first, array $second): array => ['signed_in' => true, 'passes' => [['offer' => 'o', ...$first], ['offer' => 'o', ...$second]]];
        yield 'what one pass closes stays open by another' => [$one, $plan(['closes' => ['rule' => 'after_open', 'days' => 14]]), $two(['from' => '2026-03-01T08:00:00Z'], ['from' => '2026-03-08T08:00:00Z']), 'locked 2026-03-22T08:00:00Z', true];
        yield 'what is closed opens by the pass that comes first' => [$one, $plan(['opens' => ['rule' => 'after_start', 'days' => 14]]), $two(['from' => '2026-03-05T08:00:00Z'], ['from' => '2026-03-01T08:00:00Z']), 'open 2026-03-15T08:00:00Z', true];
        yield 'staff who observe somebody have it open for good' => [
            $one, [...$plan(['closes' => ['rule' => 'on', 'at' => '2026-03-15T09:00']]), 'observer_door' => ['open' => true, 'default' => true, 'follow' => true]], ['staff' => true, 'signed_in' => true, 'observes' => $pass()], null, true,
        ];
        yield 'an observer goes with the learner' => [
            $one, [...$plan(['opens' => ['rule' => 'after_start', 'days' => 14]]), 'observer_door' => ['open' => true, 'default' => true, 'follow' => true]], ['signed_in' => true, 'observes' => $pass()], 'open 2026-03-15T08:00:00Z', true,
        ];
        yield 'a hidden module shows when something in it opens' => [
            [D::module('a', [D::lesson('b')], when_closed: 'hide', only: ['label' => 'x'], after: ['all' => ['l']]), D::lesson('l')], [],
            ['signed_in' => true, 'grants' => [['item' => 'b', 'from' => '2026-03-20T08:00:00Z', 'until' => null]]], 'locked 2026-03-20T08:00:00Z',
        ];
        yield 'what stands in a hidden module is seen when that opens' => [
            [D::module('m', [D::lesson('a')], when_closed: 'hide'), D::lesson('l')], ['plans' => ['w' => ['m' => ['opens' => ['rule' => 'after_start', 'days' => 14]], 'a' => ['opens' => ['rule' => 'after_start', 'days' => 21]]]]],
            $pass(), 'locked 2026-03-15T08:00:00Z', true,
        ];
        yield 'what somebody was given stays open when what stands beside it comes' => [
            [D::module('m', [D::lesson('a', when_closed: 'hide'), D::lesson('b')], when_closed: 'hide')],
            ['plans' => ['w' => ['a' => ['opens' => ['rule' => 'after_start', 'days' => 60]], 'b' => ['opens' => ['rule' => 'after_start', 'days' => 14]]]]],
            [...$pass(), 'grants' => [['item' => 'a', 'from' => '2026-03-02T08:00:00Z', 'until' => null]]], null, true,
        ];
        yield 'a weekday at the own time of day' => [$one, $plan(['opens' => ['rule' => 'after_start', 'days' => 10, 'weekday' => 5]]), $pass(), 'open 2026-03-13T08:00:00Z', true];
        yield 'a release' => [$one, $plan(['opens' => ['rule' => 'after_start', 'days' => 14]]), $pass(), 'open 2026-03-15T08:00:00Z', true];
        yield 'a release after the pass ends' => [$one, $plan(['opens' => ['rule' => 'after_start', 'days' => 14]]), $pass(until: '2026-03-12T08:00:00Z'), null, true];
        yield 'a closing' => [$one, $plan(['closes' => ['rule' => 'on', 'at' => '2026-03-15T09:00']]), $pass(), 'locked 2026-03-15T08:00:00Z', true];
        yield 'a release that closes again is told by its opening' => [$one, $plan(['opens' => ['rule' => 'after_start', 'days' => 14], 'closes' => ['rule' => 'after_open', 'days' => 2]]), $pass(), 'open 2026-03-15T08:00:00Z', true];
        yield 'a release at the instant of its closing never shows' => [$one, $plan(['opens' => ['rule' => 'on', 'at' => '2026-03-15T09:00'], 'closes' => ['rule' => 'on', 'at' => '2026-03-15T09:00']]), $pass(), null, true];
        yield 'a grant to come' => [$one, [], $grant('2026-03-20T08:00:00Z', null), 'open 2026-03-20T08:00:00Z'];
        yield 'a grant that ends' => [$one, [], $grant('2026-03-01T08:00:00Z', '2026-03-20T08:00:00Z'), 'locked 2026-03-20T08:00:00Z'];
        yield 'a season to come' => [$one, ['opens' => '2026-04-01T09:00'], $pass(), 'open 2026-04-01T07:00:00Z'];
        yield 'a season that ends' => [$one, ['closes' => '2026-04-01T09:00'], $pass(), 'locked 2026-04-01T07:00:00Z'];
        yield 'a dated condition' => [[D::lesson('a', only: ['from' => '2026-03-29T02:30'])], [], $pass(), 'open 2026-03-29T01:30:00Z'];
        yield 'a condition that runs out' => [[D::lesson('a', only: ['until' => '2026-03-12T09:00'])], [], $pass(), 'locked 2026-03-12T08:00:00Z'];
        yield 'a condition that runs out shortly before the last pass ends' => [
            [D::lesson('a', only: ['until' => '2026-03-12T09:00'])], [], $pass(until: '2026-03-12T09:00:00Z'), 'locked 2026-03-12T08:00:00Z',
        ];
        yield 'a condition that comes true shortly before it' => [[D::lesson('a', only: ['from' => '2026-03-12T09:00'])], [], $pass(until: '2026-03-12T09:00:00Z'), 'open 2026-03-12T08:00:00Z'];
        yield 'a condition that comes true as it ends' => [[D::lesson('a', only: ['from' => '2026-03-12T09:00'])], [], $pass(until: '2026-03-12T08:00:00Z'), null];
        yield 'a condition that lifts what one waits for' => [[D::lesson('z', only: ['until' => '2026-03-12T09:00']), D::lesson('a', after: ['all' => ['z']])], [], $pass(), 'open 2026-03-12T08:00:00Z'];
        yield 'what hides when it shuts' => [[D::lesson('a', when_closed: 'hide')], [], $pass(until: '2026-03-20T08:00:00Z'), 'hidden 2026-03-20T08:00:00Z'];
        yield 'a hiding module that shows for a sample inside it stays as it is' => [[D::module('a', [D::lesson('l', sample: true)], when_closed: 'hide', tiers: [])], ['main_plan' => null], ['signed_in' => true], null];
        yield 'and shows once that is one' => [[D::module('a', [D::lesson('l', only: ['from' => '2026-03-12T09:00'], sample: true)], when_closed: 'hide', tiers: [])], ['main_plan' => null], ['signed_in' => true], 'locked 2026-03-12T08:00:00Z'];
        yield 'a label to come' => [[D::lesson('a', only: ['label' => 'x'])], [], [...$pass(), 'labels' => [['label' => 'x', 'from' => '2026-03-20T08:00:00Z']]], 'open 2026-03-20T08:00:00Z'];
        yield 'a label that ends' => [[D::lesson('a', only: ['label' => 'x'])], [], [...$pass(), 'labels' => [['label' => 'x', 'from' => '2026-03-01T08:00:00Z', 'until' => '2026-03-20T08:00:00Z']]], 'locked 2026-03-20T08:00:00Z'];
        yield 'one label ends while the same is held for good' => [[D::lesson('a', only: ['label' => 'x'])], [], [...$pass(), 'labels' => ['x', ['label' => 'x', 'from' => '2026-03-01T08:00:00Z', 'until' => '2026-03-20T08:00:00Z']]], null];
        yield 'dates of the main plan for anyone' => [$one, ['entry' => 'anyone', 'main_plan' => 'w', ...$plan(['opens' => ['rule' => 'on', 'at' => '2026-03-12T09:00']])], [], 'open 2026-03-12T08:00:00Z'];
        yield 'what is done later does not count ahead' => [[D::lesson('z'), D::lesson('a', after: ['all' => ['z']])], [], [...$pass(), 'done' => [['item' => 'z', 'at' => '2026-03-11T08:00:00Z']]], null];
        yield 'an observer waits with the learner' => [$one, [...$plan(['opens' => ['rule' => 'after_start', 'days' => 14]]), 'observer_door' => ['open' => true, 'default' => true]], ['observes' => $pass()], 'open 2026-03-15T08:00:00Z', true];
        yield 'staff wait for nothing' => [$one, ['closes' => '2026-04-01T09:00'], ['staff' => true], null];
    }
}

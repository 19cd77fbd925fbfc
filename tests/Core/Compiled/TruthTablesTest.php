<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Conditions looked up in tables say what they say when they are read, for every case of what they ask. */
final class TruthTablesTest extends TestCase
{
    #[DataProvider('conditions')]
    public function test_everybody_is_let_in_as_when_the_condition_is_read(mixed $only): void
    {
        $plan = D::plan(
            [
                D::lesson('a'), D::lesson('b'), D::module('m', [D::lesson('m1', ['only' => ['label' => 'gold']]), D::lesson('m2')]),
                D::lesson('x', ['only' => $only]), D::module('n', [D::lesson('n1'), D::lesson('n2', ['after' => ['all' => ['x']]])], ['only' => $only]),
                D::lesson('s', ['only' => $only, 'sample' => true]),
            ],
            ['tiers' => ['small', 'large']],
            [['key' => 'o', 'course' => 'c', 'tier' => 'small'], ['key' => 'p', 'course' => 'c', 'tier' => 'large', 'labels' => ['gold']]],
        );
        $decider = new Decider($plan, $plan->courses['c']);
        $compiled = CompiledDecider::of($decider->prepared);
        $told = static fn (array $decisions): array => array_map(static fn (Decision $decision): array => $decision->toArray(), $decisions);
        foreach (self::viewers() as $name => $viewer) {
            foreach (['2026-02-28T00:00:00Z', '2026-03-10T08:00:00Z', '2026-03-20T00:00:00Z'] as $at) {
                $at = Instant::parse($at);
                self::assertSame($told($decider->decide($viewer, $at)), $told($compiled->decide($viewer, $at)), "{$name} at {$at}");
            }
        }
    }

    /** @return iterable<string, array{mixed}> */
    public static function conditions(): iterable
    {
        yield 'a label' => [['label' => 'gold']];
        yield 'a label of digits' => [['label' => '7']];
        yield 'not a label' => [['not' => ['label' => 'gold']]];
        yield 'a lesson' => [['done' => 'a']];
        yield 'not a lesson' => [['not' => ['done' => 'a']]];
        yield 'a module' => [['done' => 'm']];
        yield 'a module, or a label' => [['any' => [['done' => 'm'], ['label' => '7']]]];
        yield 'two lessons' => [['all' => [['done' => 'a'], ['done' => 'b']]]];
        yield 'one of two lessons and not the other' => [['all' => [['done' => 'a'], ['not' => ['done' => 'b']]]]];
        yield 'a date' => [['from' => '2026-03-05T09:00']];
        yield 'until a date' => [['until' => '2026-03-05T09:00']];
        yield 'between two dates' => [['all' => [['from' => '2026-03-05T09:00'], ['until' => '2026-03-15T09:00']]]];
        yield 'a date, a label and a lesson' => [['any' => [['all' => [['from' => '2026-03-05T09:00'], ['label' => 'gold']]], ['done' => 'b']]]];
        yield 'a tier, or a lesson' => [['any' => [['tier' => 'large'], ['done' => 'a']]]];
        yield 'an offer and no label' => [['all' => [['offer' => 'o'], ['not' => ['label' => 'gold']]]]];
        yield 'a kind' => [['any' => [['kind' => 'observer'], ['label' => '7']]]];
        yield 'more than there are tables for' => [['any' => [['label' => 'gold'], ['all' => [['label' => '7'], ['label' => 'red'], ['done' => 'a'], ['not' => ['done' => 'b']], ['done' => 'm1'], ['from' => '2026-03-05T09:00']]]]]];
    }

    /** @return iterable<string, Viewer> */
    private static function viewers(): iterable
    {
        $from = Instant::parse('2026-02-01T09:00:00Z');
        $done = static fn (string ...$keys): array => array_fill_keys($keys, $from + 3600);
        foreach ([[], ['gold'], ['7'], ['7', 'red'], ['gold', '7', 'red']] as $labels) {
            foreach ([[], $done('a'), $done('b'), $done('a', 'b'), $done('a', 'm1'), $done('m2'), $done('m1', 'm2')] as $finished) {
                $with = implode(' ', $labels).' / '.implode(' ', array_keys($finished));
                yield "o {$with}" => new Viewer(signedIn: true, labels: $labels, passes: [new Pass('o', $from)], done: $finished);
                yield "o, p {$with}" => $both = new Viewer(signedIn: true, labels: $labels, passes: [new Pass('o', $from), new Pass('p', $from + 30 * 86400, $from + 40 * 86400)], done: $finished);
                yield "nothing {$with}" => new Viewer(signedIn: true, labels: $labels, done: $finished);
                yield "observer {$with}" => new Viewer(signedIn: true, observes: $both);
            }
        }
        yield 'a label for a time' => new Viewer(signedIn: true, passes: [new Pass('o', $from)], timedLabels: [new TimedLabel('gold', $from + 20 * 86400, $from + 30 * 86400), new TimedLabel('7', $from, $from + 36 * 86400)]);
        yield 'a visitor' => new Viewer();
    }
}

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
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Passes that are paced alike, that are not, and what closes again: as the definition has it. */
final class PacingTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, array<string, mixed>>  $plans
     * @param  array<string, list<array{string, string}>>  $passes  from and until, by the plan of their offer
     * @param  array<string, array{string, list<string>, ?string}>  $expected  state, reasons, the instant of the next change, by item
     */
    #[DataProvider('courses')]
    public function test_it_is_told_as_by_the_definition(array $items, array $plans, array $passes, string $at, array $expected): void
    {
        $plan = D::plan(
            $items, ['plans' => array_map(static fn (array $entries): object => (object) $entries, $plans)],
            array_map(static fn (string $name): array => ['key' => $name, 'course' => 'c', 'plan' => $name], array_keys($plans)),
        );
        $held = [];
        foreach ($passes as $offer => $times) {
            foreach ($times as [$from, $until]) {
                $held[] = new Pass($offer, Instant::parse($from), Instant::parse($until));
            }
        }
        $viewer = new Viewer(signedIn: true, passes: $held);
        $definition = (new Decider($plan, $plan->courses['c']))->decide($viewer, Instant::parse($at));
        $compiled = (new CompiledDecider($plan, $plan->courses['c']))->decide($viewer, Instant::parse($at));
        $told = static fn (array $decisions): array => array_map(static fn (Decision $decision): array => $decision->toArray(), $decisions);

        self::assertSame($told($definition), $told($compiled));
        foreach (array_column($told($compiled), null, 'item') as $item => $is) {
            if (isset($expected[$item])) {
                self::assertSame($expected[$item], [$is['state'], $is['why'], $is['next']['at'] ?? null], $item);
            }
        }
    }

    /** @return iterable<string, array{list<array<string, mixed>>, array<string, array<string, mixed>>, array<string, list<array{string, string}>>, string, array<string, array{string, list<string>, ?string}>}> */
    public static function courses(): iterable
    {
        $hidden = [D::module('m', [D::lesson('a'), D::lesson('b')], when_closed: 'hide')];
        $days = static fn (int $days): array => ['opens' => ['rule' => 'after_start', 'days' => $days]];
        $closes = static fn (int $days): array => ['closes' => ['rule' => 'after_open', 'days' => $days]];
        $on = static fn (string $at): array => ['opens' => ['rule' => 'on', 'at' => $at]];
        $june = ['2026-06-01T08:00:00Z', '2027-01-01T00:00:00Z'];

        yield 'one pass closes what another keeps open' => [$hidden, ['p' => [], 'q' => ['a' => [...$days(0), ...$closes(5)]]], ['p' => [$june], 'q' => [$june]], '2026-06-02T00:00:00Z', ['a' => ['open', [], '2027-01-01T00:00:00Z']]];
        yield 'one pass closes what another opens at the same time' => [
            $hidden, ['p' => ['a' => $days(5)], 'q' => ['a' => [...$days(0), ...$closes(5)]]], ['p' => [$june], 'q' => [$june]], '2026-06-02T00:00:00Z', ['a' => ['open', [], '2027-01-01T00:00:00Z']],
        ];
        yield 'two passes by the same dates, one of which ends' => [
            $hidden, ['p' => ['a' => $on('2026-06-10T09:00'), 'b' => $on('2026-06-20T09:00')]], ['p' => [['2026-05-01T00:00:00Z', '2026-06-15T00:00:00Z'], $june]], '2026-06-02T00:00:00Z',
            ['a' => ['locked', ['not_yet'], '2026-06-10T07:00:00Z'], 'b' => ['locked', ['not_yet'], '2026-06-20T07:00:00Z']],
        ];
        yield 'two passes by the same dates that close on different days' => [
            $hidden, ['p' => ['a' => [...$on('2026-05-15T09:00'), ...$closes(30)]]], ['p' => [['2026-05-01T00:00:00Z', '2027-01-01T00:00:00Z'], $june]], '2026-06-02T00:00:00Z',
            ['a' => ['open', [], '2026-07-01T08:00:00Z']],
        ];
        yield 'what it stands in closes before it is released' => [
            [D::module('m', [D::lesson('a')]), D::lesson('b', after: ['all' => ['a']])], ['p' => ['m' => [...$days(0), ...$closes(5)], 'a' => [...$days(10), ...$closes(30)]]], ['p' => [$june]], '2026-06-02T00:00:00Z',
            ['a' => ['locked', ['not_yet'], null], 'b' => ['locked', ['stuck'], null]],
        ];
        yield 'released as its pass ends, of somebody who comes back twice' => [
            [D::lesson('a')], ['p' => ['a' => $on('2026-06-10T09:00')]],
            ['p' => [['2026-05-01T00:00:00Z', '2026-06-10T07:00:00Z'], ['2026-07-01T00:00:00Z', '2026-08-01T00:00:00Z'], ['2026-09-01T00:00:00Z', '2026-10-01T00:00:00Z']]], '2026-06-02T00:00:00Z',
            ['a' => ['locked', ['not_yet'], '2026-07-01T00:00:00Z']],
        ];
        // Released at three, closing in the hour that the clock skips: what is open since then closes at that time.
        yield 'a date that the clock skips, of somebody who came later' => [
            [D::lesson('a')], ['p' => ['a' => [...$on('2026-01-01T02:30'), ...$closes(87)]]], ['p' => [['2026-01-01T02:15:00Z', '2027-01-01T00:00:00Z']]], '2026-03-29T01:20:00Z',
            ['a' => ['locked', ['closed'], null]],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Definition\SteppingReach;
use SilentKeep\Core\Foresight\Sweeps\ItemByItem;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** One look at each item tells when it opens, however things wait for each other. */
final class ItemByItemTest extends TestCase
{
    private const AT = '2026-06-15T10:00:00Z';

    #[DataProvider('seeds')]
    public function test_it_is_the_stepping_reach(int $seed): void
    {
        mt_srand($seed);
        $decider = self::course();
        $at = Instant::parse(self::AT);
        for ($n = 0; $n < 4; $n++) {
            $done = [];
            foreach ($decider->course->outline->items as $item) {
                if (mt_rand(0, 3) === 0) {
                    $done[$item->key] = $at - 3600;
                }
            }
            $from = $at - mt_rand(-5, 15) * 86400;
            $viewer = new Viewer(signedIn: true, passes: [new Pass('o', $from, mt_rand(0, 2) === 0 ? $from + mt_rand(10, 40) * 86400 : Instant::NEVER)], done: $done);
            $before = mt_rand(0, 1) === 0 ? Instant::NEVER : $at + mt_rand(0, 20) * 86400;
            $masks = CompiledDecider::of($decider->prepared)->viewer($viewer, $at);
            self::assertTrue($masks->goesByDatesAlone());
            $stepped = (new SteppingReach($decider))->reach($viewer, $at, $before);
            $found = ItemByItem::of($masks, $at, $before);
            self::assertTrue($found === null || $found === [$stepped->open, $stepped->works], "viewer {$n}");
        }
    }

    /** @return iterable<int, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 120) as $seed) {
            yield $seed => [$seed];
        }
    }

    public function test_what_waits_in_a_circle_is_left_to_another_way(): void
    {
        $decider = D::decider([D::lesson('a', after: ['all' => ['b']]), D::lesson('b', after: ['all' => ['a']])]);
        $viewer = new Viewer(signedIn: true, passes: [new Pass('o', Instant::parse(self::AT))]);
        self::assertNull(ItemByItem::of(CompiledDecider::of($decider->prepared)->viewer($viewer, Instant::parse(self::AT)), Instant::parse(self::AT), Instant::NEVER));
    }

    public function test_what_waits_for_something_further_down_is_no_circle(): void
    {
        $decider = D::decider([D::lesson('a', after: ['all' => ['m']]), D::module('m', [D::lesson('b'), D::lesson('c', optional: true)])]);
        $at = Instant::parse(self::AT);
        $found = ItemByItem::of(CompiledDecider::of($decider->prepared)->viewer(new Viewer(signedIn: true, passes: [new Pass('o', $at)]), $at), $at, Instant::NEVER);
        self::assertSame([$at, $at, $at, $at], $found[1] ?? null);
    }

    /** Modules in modules, lessons with parts, prerequisites of all kinds that may stand anywhere, dates and closings; no conditions. */
    private static function course(): Decider
    {
        $keys = [];
        $plan = [];
        $entry = static fn (): array => [
            'opens' => ['rule' => mt_rand(0, 1) === 0 ? 'after_start' : 'after_previous', 'days' => mt_rand(0, 12)],
            ...(mt_rand(0, 5) === 0 ? ['closes' => ['rule' => 'after_open', 'days' => mt_rand(1, 9)]] : []),
        ];
        $lesson = static function () use (&$keys): array {
            $keys[] = $key = 'l'.count($keys);

            return D::lesson($key, optional: mt_rand(0, 5) === 0);
        };
        $module = static function (int $depth) use (&$module, &$keys, $lesson): array {
            $keys[] = $key = 'm'.count($keys);
            $items = [];
            for ($n = mt_rand(1, 3); $n > 0; $n--) {
                $items[] = $depth > 0 && mt_rand(0, 2) === 0 ? $module($depth - 1) : $lesson();
            }

            return D::module($key, $items, in_order: mt_rand(0, 2) === 0);
        };
        $items = [$module(1), $lesson(), $module(1), $module(0), $lesson()];
        foreach ($keys as $key) {
            if (mt_rand(0, 1) === 0) {
                $plan[$key] = $entry();
            }
        }
        $prerequisites = static function (array $item) use (&$prerequisites, $keys): array {
            $inside = json_encode($item);
            $others = array_values(array_filter($keys, static fn (string $key): bool => ! str_contains((string) $inside, "\"{$key}\"")));
            if (mt_rand(0, 2) === 0 && count($others) > 3) {
                // Only what stands before, and no module that holds the item, so that most courses are no circle.
                $before = array_values(array_filter($others, static fn (string $key): bool => $key[0] === 'l' && (int) substr($key, 1) < (int) substr((string) $item['key'], 1)));
                if (count($before) > 2) {
                    $of = array_slice($before, -3);
                    $item['after'] = [['all' => [$of[0]]], ['any' => $of], ['at_least' => 2, 'of' => $of], ['all' => $of]][mt_rand(0, 3)];
                }
            }
            if (isset($item['items'])) {
                $item['items'] = array_map($prerequisites, $item['items']);
            }

            return $item;
        };

        return D::decider(array_map($prerequisites, $items), ['plans' => ['p' => (object) $plan]], [['key' => 'o', 'course' => 'c', 'plan' => 'p']]);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Foresight\Definition\SteppingImpact;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\InvalidForesight;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** One row for each effect: what changing the plan does to one person on the item `a`. */
final class ImpactTest extends TestCase
{
    private const DAY = 86400;

    #[DataProvider('effects')]
    public function test_it_is_this_effect(Plan $before, Plan $after, Viewer $viewer, ?string $effect, string $item = 'a'): void
    {
        $at = self::at();
        $people = [new Person('p', $viewer)];
        $tally = (new Impact($before, $after, 'c', $at, $at + 100 * self::DAY))->on($people)->toArray(false);
        $row = array_column($tally['items'], null, 'item')[$item];

        self::assertSame($effect === null ? [] : [$effect => 1], array_diff_key(array_filter($row), ['item' => 1]));
        self::assertSame((new SteppingImpact($before, $after, 'c', $at, $at + 100 * self::DAY))->on($people)->toArray(false), $tally);
    }

    /** @return \Generator<string, array{0: Plan, 1: Plan, 2: Viewer, 3: ?string, 4?: string}> */
    public static function effects(): \Generator
    {
        $holder = new Viewer(signedIn: true, passes: [new Pass('o', self::at() - 5 * self::DAY)]);
        $visitor = new Viewer;
        $paced = static fn (?array $opens, ?array $closes = null): Plan => D::plan(
            [D::lesson('a')],
            ['plans' => ['w' => ['a' => (object) array_filter(['opens' => $opens, 'closes' => $closes])]]],
            [['key' => 'o', 'course' => 'c', 'plan' => 'w']],
        );
        $days = static fn (int $days): array => ['rule' => 'after_start', 'days' => $days];
        $plain = D::plan([D::lesson('a')]);

        yield 'nothing' => [$plain, $plain, $holder, null];
        yield 'opened by an earlier day' => [$paced($days(9)), $paced($days(3)), $holder, 'gain'];
        yield 'shut for good' => [$plain, D::plan([D::lesson('a', tiers: [])]), $holder, 'lose'];
        yield 'shut until a later day' => [$paced($days(3)), $paced($days(9)), $holder, 'pause'];
        yield 'shut until a day too far off' => [$paced($days(3)), $paced($days(300)), $holder, 'lose'];
        yield 'a sample that becomes everybody\'s to look at' => [$plain, D::plan([D::lesson('a', sample: true)]), $visitor, 'gain'];
        yield 'from looking to working' => [D::plan([D::lesson('a', sample: true, tiers: [])]), D::plan([D::lesson('a', sample: true)]), $holder, 'gain_work'];
        yield 'from working to looking' => [D::plan([D::lesson('a', sample: true)]), D::plan([D::lesson('a', sample: true, tiers: [])]), $holder, 'lose_work'];
        yield 'open for longer' => [$paced(null, ['rule' => 'after_open', 'days' => 20]), $paced(null, ['rule' => 'after_open', 'days' => 30]), $holder, 'longer'];
        yield 'open for a shorter time' => [$paced(null), $paced(null, ['rule' => 'after_open', 'days' => 30]), $holder, 'shorter'];
        yield 'an ending beyond the time looked at' => [$paced(null), $paced(null, ['rule' => 'after_open', 'days' => 300]), $holder, null];
        yield 'comes sooner' => [$paced($days(30)), $paced($days(20)), $holder, 'sooner'];
        yield 'comes later' => [$paced($days(20)), $paced($days(30)), $holder, 'later'];
        yield 'comes no more' => [$paced($days(20)), $paced(['rule' => 'held']), $holder, 'never'];
        yield 'comes after all' => [$paced(['rule' => 'held']), $paced($days(20)), $holder, 'sooner'];
        yield 'waits for more' => [D::plan([D::lesson('b'), D::lesson('a', after: ['all' => ['b']])]), D::plan([D::lesson('b', tiers: []), D::lesson('x', tiers: []), D::lesson('a', only: ['label' => 'x'])]), $holder, 'never'];
        yield 'a new item' => [$plain, D::plan([D::lesson('a'), D::lesson('n')]), $holder, 'gain', 'n'];
        yield 'an item taken out' => [D::plan([D::lesson('a'), D::lesson('n')]), $plain, $holder, 'lose', 'n'];
        yield 'another order alone touches nobody' => [D::plan([D::lesson('b'), D::lesson('a')]), D::plan([D::lesson('a'), D::lesson('b')]), $holder, null];
        yield 'an offer that is gone' => [$plain, D::plan([D::lesson('a')], offers: []), $holder, 'lose'];
        yield 'an offer in neither' => [$plain, D::plan([D::lesson('a', sample: true)]), new Viewer(signedIn: true, passes: [new Pass('gone', 0)]), 'gain'];
        yield 'staff are touched by what is there alone' => [$plain, D::plan([D::lesson('a', tiers: [])], ['state' => 'draft']), new Viewer(staff: true), null];
    }

    public function test_who_gains_and_loses_at_once_is_told_without_looking_ahead(): void
    {
        $before = D::plan([D::lesson('a'), D::lesson('b', tiers: [])]);
        $after = D::plan([D::lesson('a', tiers: []), D::lesson('b')]);
        $people = [new Person('p', new Viewer(signedIn: true, passes: [new Pass('o', 0)])), new Person('q', new Viewer)];
        $tally = (new Impact($before, $after, 'c', self::at(), self::at() + self::DAY))->atOnceOn($people)->toArray(true);

        self::assertSame([['p'], ['p']], [$tally['touched']['gain'], $tally['touched']['lose']]);
        self::assertSame(2, $tally['people']);
    }

    public function test_ids_are_sorted_by_code_point(): void
    {
        $people = array_map(static fn (string $id): Person => new Person($id, new Viewer), ['10', 'Ø', '9', 'a', 'Z']);
        $tally = (new Impact(D::plan([D::lesson('a')]), D::plan([D::lesson('a', sample: true)]), 'c', self::at(), self::at()))->on($people)->toArray(true);

        self::assertSame(['10', '9', 'Z', 'a', 'Ø'], $tally['touched']['gain']);
    }

    public function test_a_course_in_one_plan_only_is_absent_in_the_other(): void
    {
        $with = D::plan([D::lesson('a', sample: true)]);
        $without = PlanReader::fromDecoded(D::decoded(['format' => 'silent-keep.plan/1', 'school' => ['zone' => 'UTC'], 'offers' => [], 'courses' => []]));
        $people = [new Person('p', new Viewer)];

        self::assertSame(1, (new Impact($without, $with, 'c', self::at(), self::at()))->on($people)->toArray(false)['touched']['gain']);
        self::assertSame(1, (new Impact($with, $without, 'c', self::at(), self::at()))->on($people)->toArray(false)['touched']['lose']);
        $this->expectException(InvalidForesight::class);
        new Impact($without, $without, 'c', self::at(), self::at());
    }

    private static function at(): int
    {
        return Instant::parse('2026-01-20T12:00:00Z');
    }
}

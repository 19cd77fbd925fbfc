<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Foresight\Definition\SteppingImpact;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Foresight\SameFate;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Whom a change does the same is looked at once, and only they are. */
final class SameFateTest extends TestCase
{
    private const AT = '2026-06-15T10:00:00Z';

    /** @param  array<string, mixed>  $other */
    #[DataProvider('others')]
    public function test_people_share_their_fate(array $other, bool $shared, bool $untouched): void
    {
        [$before, $after] = self::plans();
        $compiledBefore = new CompiledDecider($before, $before->courses['c']);
        $compiledAfter = new CompiledDecider($after, $after->courses['c']);
        $at = Instant::parse(self::AT);
        $fate = new SameFate($compiledBefore, $compiledAfter, $at);
        $one = self::holder();
        $another = self::holder(...$other);
        $of = static fn (Viewer $viewer): array => [$compiledBefore->viewer($viewer, $at), $compiledAfter->viewer($viewer, $at)];

        self::assertTrue($fate->isTold(...$of($another)));
        self::assertSame($shared, $fate->of(...$of($one)) === $fate->of(...$of($another)));
        self::assertSame($untouched, $fate->moved(...$of($another)) === '');
        $people = [new Person('one', $one), new Person('another', $another), new Person('again', $one)];
        self::assertSame(
            (new SteppingImpact($before, $after, 'c', $at, $at + 90 * 86400))->on($people)->toArray(true),
            (new Impact($before, $after, 'c', $at, $at + 90 * 86400))->on($people)->toArray(true),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, bool, bool}> how another holder differs; whether the two share their fate; whether the change leaves the other alone */
    public static function others(): iterable
    {
        yield 'in nothing' => [[], true, false];
        yield 'began in the same minute of the same day, with dates of their own' => [['from' => '2026-06-10T10:00:30Z'], false, false];
        yield 'has done another lesson' => [['done' => ['b' => '2026-06-11T10:00:00Z']], false, false];
        yield 'did the same at another hour' => [['done' => ['a' => '2026-06-14T10:00:00Z']], true, false];
        yield 'did more, but later than is looked at' => [['done' => ['a' => '2026-06-11T10:00:00Z', 'b' => '2026-06-16T10:00:00Z']], true, false];
        yield 'has a label that is asked for' => [['labels' => ['bonus']], false, false];
        yield 'has one that is not' => [['labels' => ['elsewhere']], true, false];
        yield 'has a pass that ends' => [['until' => '2026-06-20T10:00:00Z'], false, false];
        yield 'is not signed in' => [['signedIn' => false], false, false];
        yield 'began so long ago that all is behind them' => [['from' => '2026-01-10T10:00:00Z'], false, true];
    }

    public function test_whose_dates_all_lie_behind_them_share_their_fate_whenever_they_began(): void
    {
        [$before, $after] = self::plans();
        $at = Instant::parse(self::AT);
        $fate = new SameFate(new CompiledDecider($before, $before->courses['c']), new CompiledDecider($after, $after->courses['c']), $at);
        $compiled = new CompiledDecider($before, $before->courses['c']);
        $of = static fn (string $from): string => $fate->of($compiled->viewer(self::holder($from), $at), $compiled->viewer(self::holder($from), $at));

        self::assertSame($of('2026-01-10T10:00:00Z'), $of('2025-11-02T03:04:05Z'));
    }

    public function test_another_rule_than_a_date_leaves_nobody_alone(): void
    {
        [$before] = self::plans();
        $after = D::plan([D::lesson('a'), D::lesson('b', after: ['all' => ['a']])], ['plans' => ['p' => ['b' => self::after(20)]]], [['key' => 'o', 'course' => 'c', 'plan' => 'p']]);
        $at = Instant::parse(self::AT);
        [$compiledBefore, $compiledAfter] = [new CompiledDecider($before, $before->courses['c']), new CompiledDecider($after, $after->courses['c'])];
        $holder = self::holder('2026-01-10T10:00:00Z', done: []);

        self::assertNull((new SameFate($compiledBefore, $compiledAfter, $at))->moved($compiledBefore->viewer($holder, $at), $compiledAfter->viewer($holder, $at)));
        self::assertSame(1, (new Impact($before, $after, 'c', $at, $at))->on([new Person('x', $holder)])->toArray(false)['touched']['lose']);
    }

    public function test_what_is_done_of_a_lesson_that_goes_tells_people_apart(): void
    {
        $offers = [['key' => 'o', 'course' => 'c', 'plan' => 'p']];
        $plan = static fn (int $days): array => ['plans' => ['p' => ['b' => self::after($days)]]];
        $before = D::plan([D::lesson('a'), D::lesson('b', after: ['all' => ['a']])], $plan(2), $offers);
        $after = D::plan([D::lesson('b')], $plan(30), $offers);
        $at = Instant::parse(self::AT);
        $people = [new Person('has done it', self::holder()), new Person('has not', self::holder(done: []))];

        self::assertSame(
            (new SteppingImpact($before, $after, 'c', $at, $at + 5 * 86400))->on($people)->toArray(true),
            (new Impact($before, $after, 'c', $at, $at + 5 * 86400))->on($people)->toArray(true),
        );
    }

    /**
     * @param  array<string, string>  $done
     * @param  list<string>  $labels
     */
    private static function holder(string $from = '2026-06-10T10:00:00Z', ?string $until = null, array $done = ['a' => '2026-06-11T10:00:00Z'], array $labels = [], bool $signedIn = true): Viewer
    {
        return new Viewer(
            signedIn: $signedIn, labels: $labels, passes: [new Pass('o', Instant::parse($from), $until === null ? Instant::NEVER : Instant::parse($until))],
            done: array_map(Instant::parse(...), $done),
        );
    }

    /** @return array{Plan, Plan} one lesson comes ten days later */
    private static function plans(): array
    {
        $plan = static fn (int $days): Plan => D::plan(
            [D::lesson('a'), D::lesson('b'), D::lesson('c', only: ['label' => 'bonus'])],
            ['plans' => ['p' => ['a' => self::after(1), 'b' => self::after($days), 'c' => self::after(5)]]], [['key' => 'o', 'course' => 'c', 'plan' => 'p']],
        );

        return [$plan(10), $plan(20)];
    }

    /** @return array{opens: array{rule: string, days: int}} */
    private static function after(int $days): array
    {
        return ['opens' => ['rule' => 'after_start', 'days' => $days]];
    }
}

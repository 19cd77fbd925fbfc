<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Reach;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Reach by masks where there is more than one's own passes: for observers, and where conditions ask what is done. */
final class SweepTest extends TestCase
{
    private const AT = '2026-06-15T10:00:00Z';

    private const DAY = 86400;

    public function test_an_observer_comes_to_what_the_learner_comes_to_by_time(): void
    {
        $decider = self::weekly(['observer_door' => ['open' => true, 'default' => true, 'follow' => true]]);
        $reach = self::reach($decider, self::observerOf(new Viewer(passes: [new Pass('o', self::at())])));
        self::assertSame([self::at(), self::at() + 7 * self::DAY, null], $reach->open, 'the third waits for the second, which nobody finishes');
        self::assertSame([null, null, null], $reach->works);
    }

    public function test_what_the_learner_has_done_counts_and_what_they_do_later_does_not(): void
    {
        $decider = self::weekly(['observer_door' => ['open' => true, 'default' => true, 'follow' => true]]);
        $with = static fn (int $done): ?int => self::reach($decider, self::observerOf(new Viewer(passes: [new Pass('o', self::at())], done: ['b' => $done])))->open[2];
        self::assertSame(self::at(), $with(self::at()));
        self::assertNull($with(self::at() + 1));
    }

    public function test_an_observer_at_a_shut_door_comes_to_nothing(): void
    {
        $decider = self::weekly(['observer_door' => ['open' => false, 'default' => true, 'follow' => true]]);
        self::assertSame([null, null, null], self::reach($decider, self::observerOf(new Viewer(passes: [new Pass('o', self::at())])))->open);
    }

    public function test_an_observer_with_a_pass_works_by_that_and_looks_by_the_learner_s(): void
    {
        $decider = self::weekly(['observer_door' => ['open' => true, 'default' => true, 'follow' => true]]);
        $late = new Pass('o', self::at() + 30 * self::DAY);
        $reach = self::reach($decider, (new Viewer(signedIn: true, passes: [$late]))->observing(new Viewer(passes: [new Pass('o', self::at())])));
        self::assertSame([self::at(), self::at() + 7 * self::DAY, self::at() + 37 * self::DAY], $reach->open);
        self::assertSame([self::at() + 30 * self::DAY, self::at() + 37 * self::DAY, self::at() + 37 * self::DAY], $reach->works);
    }

    public function test_what_is_for_those_who_have_done_something_comes_once_that_is_done(): void
    {
        $decider = D::decider([D::lesson('a', only: ['done' => 'c']), D::lesson('b'), D::lesson('c', after: ['all' => ['b']])]);
        $reach = self::reach($decider, new Viewer(signedIn: true, passes: [new Pass('o', self::at())]));
        self::assertSame([self::at(), self::at(), self::at()], $reach->works);
        self::assertEqualsCanonicalizing(['a', 'b', 'c'], array_keys($reach->afterwards->done));
    }

    public function test_what_is_for_those_who_have_not_done_something_is_seen_before_it_shuts(): void
    {
        $decider = D::decider([D::lesson('a', only: ['not' => ['done' => 'b']], after: ['all' => ['b']]), D::lesson('b'), D::lesson('c', only: ['not' => ['done' => 'b']])]);
        $reach = self::reach($decider, new Viewer(signedIn: true, passes: [new Pass('o', self::at())]));
        self::assertSame([null, self::at(), self::at()], $reach->open, 'what waits for that which shuts it never opens');
    }

    /** @param  array<string, mixed>  $course */
    private static function weekly(array $course): Decider
    {
        $plan = ['b' => ['opens' => ['rule' => 'after_start', 'days' => 7]]];

        return D::decider([D::lesson('a'), D::lesson('b'), D::lesson('c', after: ['all' => ['b']])], ['plans' => ['p' => (object) $plan], ...$course], [['key' => 'o', 'course' => 'c', 'plan' => 'p']]);
    }

    private static function observerOf(Viewer $learner): Viewer
    {
        return (new Viewer(signedIn: true))->observing($learner);
    }

    private static function reach(Decider $decider, Viewer $viewer): Reach
    {
        return (new Reaching($decider))->reach($viewer, self::at());
    }

    private static function at(): int
    {
        return Instant::parse(self::AT);
    }
}

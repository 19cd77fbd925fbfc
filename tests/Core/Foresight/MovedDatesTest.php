<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Foresight\Definition\SteppingImpact;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Foresight\SameFate;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Where a change moves a few dates, only what can depend on them is looked at, and what comes of it is what looking at all would tell. */
final class MovedDatesTest extends TestCase
{
    private const AT = '2026-06-15T10:00:00Z';

    /** What waits for what: b1 for a2, c for the module b, c2 for two of a1, b1, b2 and a2, d2 for two of a1, c2 and d1. */
    private const ITEMS = ['a', 'a1', 'a2', 'b', 'b1', 'b2', 'c', 'c1', 'c2', 'd', 'd1', 'd2'];

    /**
     * @param  array<string, int>  $moved  days by which the dates of items move
     * @param  list<string>  $about  items
     */
    #[DataProvider('changes')]
    public function test_whoever_waits_for_what_moves_is_told(array $moved, array $about): void
    {
        $people = self::people();
        $this->assertToldAsDefined(self::plan(), $after = self::plan($moved), $people);
        self::assertSame($about, self::itemsIn(self::moved(self::plan(), $after, $people)));
    }

    /** @return iterable<string, array{array<string, int>, list<string>}> */
    public static function changes(): iterable
    {
        yield 'a module, with all that is in it' => [['a' => 9], ['a', 'a1', 'a2']];
        yield 'a lesson for which others wait' => [['a2' => 30], ['a2']];
        yield 'one of several for which another waits' => [['d1' => 4], ['d1']];
        yield 'what nobody waits for' => [['d2' => 4], ['d2']];
        yield 'what stands in something that waits' => [['c2' => 8], ['c2']];
        yield 'two that have nothing to do with each other' => [['b2' => 5, 'd2' => 5], ['b2', 'd2']];
        yield 'a module that came last before what is in it' => [['b' => -10], ['b']];
        yield 'nothing' => [[], []];
    }

    public function test_where_most_dates_move_all_is_looked_at(): void
    {
        $people = self::people();
        $this->assertToldAsDefined(self::plan(), $after = self::plan(['a' => 3, 'b' => 3, 'c' => 3]), $people);
        self::assertNull(self::moved(self::plan(), $after, $people));
    }

    public function test_what_closes_later_is_told_of_whom_it_is_still_to_close(): void
    {
        [$before, $after] = [self::plan(closes: 20), self::plan(closes: 26)];
        $this->assertToldAsDefined($before, $after, self::people());
        self::assertSame(['d1'], self::itemsIn(self::moved($before, $after, self::people())));
    }

    public function test_of_two_passes_each_may_have_other_dates(): void
    {
        $at = Instant::parse(self::AT);
        $people = [new Person('two', new Viewer(signedIn: true, passes: [new Pass('few', $at - 2 * 86400, $at + 5 * 86400), new Pass('o', $at - 2 * 86400, Instant::NEVER)]))];
        $this->assertToldAsDefined(self::plan(), $after = self::plan(['b2' => 6, 'd2' => 6]), $people);
        self::assertSame(['b2', 'd2'], self::itemsIn(self::moved(self::plan(), $after, $people)));
    }

    public function test_courses_at_random(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            mt_srand($seed);
            $moved = [];
            for ($n = mt_rand(1, 3); $n > 0; $n--) {
                $moved[self::ITEMS[mt_rand(0, 11)]] = mt_rand(-12, 25);
            }
            $this->assertToldAsDefined(self::plan(closes: $closes = mt_rand(10, 40)), self::plan($moved, $closes + mt_rand(0, 1) * 7), self::people(every: 4), "seed {$seed}");
        }
    }

    /** @param  list<Person>  $people */
    private function assertToldAsDefined(Plan $before, Plan $after, array $people, string $told = ''): void
    {
        $at = Instant::parse(self::AT);
        self::assertSame(
            (new SteppingImpact($before, $after, 'c', $at, $at + 60 * 86400))->on($people)->toArray(true),
            (new Impact($before, $after, 'c', $at, $at + 60 * 86400))->on($people)->toArray(true), $told,
        );
    }

    /** @param  list<Person>  $people */
    private static function moved(Plan $before, Plan $after, array $people): ?string
    {
        $at = Instant::parse(self::AT);
        [$was, $is] = [new CompiledDecider($before, $before->courses['c']), new CompiledDecider($after, $after->courses['c'])];
        $fate = new SameFate($was, $is, $at);
        $moved = '';
        foreach ($people as $person) {
            $of = $fate->moved($was->viewer($person->viewer, $at), $is->viewer($person->viewer, $at));
            if ($of === null) {
                return null;
            }
            $moved = $of === '' ? $moved : $of;
        }

        return $moved;
    }

    /** @return list<string> */
    private static function itemsIn(?string $mask): array
    {
        return array_values(array_filter(self::ITEMS, static fn (int $item): bool => ($mask[$item] ?? Mask::OUT) === Mask::IN, ARRAY_FILTER_USE_KEY));
    }

    /** @return list<Person> who began on each of the last days, and have done this and that */
    private static function people(int $every = 1): array
    {
        $at = Instant::parse(self::AT);
        $done = [[], ['a1'], ['a1', 'a2', 'b2'], ['c1', 'd2'], ['b1', 'b2']];
        $people = [];
        for ($n = 0; $n < 45; $n += $every) {
            $from = $at - $n * 86400 + 3600;
            $people[] = new Person("p{$n}", new Viewer(
                signedIn: $n % 7 > 0, passes: [new Pass('o', $from, $n % 4 === 0 ? $at + 12 * 86400 : Instant::NEVER)], done: array_fill_keys($done[$n % 5], $at - 60),
            ));
        }

        return $people;
    }

    /** @param  array<string, int>  $moved  days by which the dates of items move */
    private static function plan(array $moved = [], int $closes = 20): Plan
    {
        $opens = static fn (string $item, int $days): array => ['opens' => ['rule' => 'after_start', 'days' => max(0, $days + ($moved[$item] ?? 0))]];
        $entries = [];
        foreach (['a' => 0, 'a1' => 0, 'a2' => 4, 'b' => 12, 'b1' => 12, 'b2' => 14, 'c' => 15, 'c1' => 0, 'c2' => 21, 'd' => 3, 'd1' => 7, 'd2' => 9] as $item => $days) {
            $entries[$item] = $opens($item, $days);
        }
        $entries['d1']['closes'] = ['rule' => 'after_open', 'days' => $closes];

        return D::plan([
            D::module('a', [D::lesson('a1'), D::lesson('a2')], in_order: true),
            D::module('b', [D::lesson('b1', after: ['all' => ['a2']]), D::lesson('b2')]),
            D::module('c', [D::lesson('c1', sample: true), D::lesson('c2', after: ['at_least' => 2, 'of' => ['a1', 'b1', 'b2', 'a2']])], after: ['all' => ['b']]),
            D::module('d', [D::lesson('d1'), D::lesson('d2', after: ['at_least' => 2, 'of' => ['a1', 'c2', 'd1']])]),
        ], ['plans' => ['p' => $entries, 'last' => ['d2' => $entries['d2']]]], [['key' => 'o', 'course' => 'c', 'plan' => 'p'], ['key' => 'few', 'course' => 'c', 'plan' => 'last']]);
    }
}

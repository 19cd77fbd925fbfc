<?php

declare(strict_types=1);

namespace Tests\Core\Compiled;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Courses in which all comes on dates, where many share what comes: as the definition has it for each of them. */
final class FixedDatesTest extends TestCase
{
    private const SEEDS = 60;

    private const DAYS = 12;

    #[DataProvider('seeds')]
    public function test_who_shares_what_comes_is_told_what_the_definition_tells_each(int $seed): void
    {
        mt_srand($seed);
        $plan = self::random();
        $definition = new Decider($plan, $plan->courses['c']);
        // One for all of them: what is kept for one is told to the next.
        $compiled = CompiledDecider::of($definition->prepared);
        $viewers = array_map(static fn (): Viewer => self::viewer(), range(1, 8));
        foreach (range(1, 6) as $_) {
            $at = self::instant();
            foreach ($viewers as $viewer) {
                self::assertSame(self::told($definition->decide($viewer, $at)), self::told($compiled->decide($viewer, $at)));
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, self::SEEDS) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /**
     * @param  array<string, array<string, mixed>>  $entries
     * @param  bool  $shared  whether what comes is the same for all who have begun early enough
     */
    #[DataProvider('plans')]
    public function test_what_comes_is_shared_where_it_is_the_same(array $entries, bool $shared, ?string $latest): void
    {
        $plan = D::plan([D::lesson('a'), D::lesson('b')], ['plans' => ['p' => (object) $entries]], [['key' => 'o', 'course' => 'c', 'plan' => 'p']]);
        $fixed = CompiledDecider::of((new Decider($plan, $plan->courses['c']))->prepared)->compiled->profile('o')?->pacing->fixed;
        self::assertSame($shared, $fixed !== null);
        if ($latest !== null) {
            $latest = Instant::parse($latest);
            self::assertTrue($fixed?->holdFor($latest, $latest));
            self::assertFalse($fixed->holdFor($latest + 1, $latest));
            self::assertFalse($fixed->holdFor($latest, $latest + 1));
        }
    }

    /** @return iterable<string, array{array<string, array<string, mixed>>, bool, ?string}> */
    public static function plans(): iterable
    {
        $on = static fn (string $at): array => ['rule' => 'on', 'at' => $at];
        $after = ['rule' => 'after_open', 'days' => 5];

        yield 'dates alone' => [['a' => ['opens' => $on('2026-06-01T09:00')], 'b' => ['opens' => $on('2026-06-08T09:00')]], true, null];
        yield 'closed days after a date' => [['a' => ['opens' => $on('2026-06-01T09:00')], 'b' => ['opens' => $on('2026-06-08T09:00'), 'closes' => $after]], true, '2026-06-08T07:00:00Z'];
        yield 'closed days after the first date' => [['a' => ['opens' => $on('2026-06-01T09:00'), 'closes' => $after], 'b' => ['opens' => $on('2026-06-08T09:00'), 'closes' => $after]], true, '2026-06-01T07:00:00Z'];
        yield 'closed on a date' => [['a' => ['opens' => $on('2026-06-01T09:00'), 'closes' => $on('2026-06-03T09:00')]], true, null];
        yield 'closed days after the beginning' => [['a' => ['opens' => ['rule' => 'at_once'], 'closes' => $after], 'b' => ['opens' => $on('2026-06-08T09:00')]], false, null];
        yield 'days after the beginning' => [['a' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'b' => ['opens' => $on('2026-06-08T09:00')]], false, null];
        yield 'nothing but the beginning' => [[], false, null];
    }

    private static function random(): Plan
    {
        $entries = [];
        foreach (['m', 'a', 'b', 'c', 'n', 'd', 'e'] as $key) {
            $closes = match (mt_rand(0, 3)) {
                0 => ['closes' => ['rule' => 'after_open', 'days' => mt_rand(0, 5)]],
                1 => ['closes' => ['rule' => 'on', 'at' => self::date()]],
                default => [],
            };
            // What has no date of its own closes by no days of its own: they would count from the beginning.
            $dated = mt_rand(0, 3) > 0;
            $entries[$key] = $dated ? ['opens' => ['rule' => 'on', 'at' => self::date()], ...$closes] : array_filter(['opens' => ['rule' => 'at_once'], ...$closes], static fn (array $rule): bool => $rule['rule'] !== 'after_open');
        }
        $hides = static fn (): array => mt_rand(0, 2) === 0 ? ['when_closed' => 'hide'] : [];
        $items = [
            D::module('m', [D::lesson('a', ...$hides()), D::lesson('b', after: ['all' => ['a']]), D::lesson('c', ...$hides())], ...$hides()),
            D::module('n', [D::lesson('d'), D::lesson('e', after: ['any' => ['b', 'c']])], ...$hides()),
        ];

        return D::plan($items, ['plans' => ['p' => (object) $entries], ...(mt_rand(0, 3) === 0 ? ['opens' => self::date()] : [])], [['key' => 'o', 'course' => 'c', 'plan' => 'p'], ['key' => 'q', 'course' => 'c', 'plan' => 'p']]);
    }

    /** Few of them, so that some are the same. */
    private static function date(): string
    {
        return sprintf('2026-06-%02dT%02d:00', mt_rand(1, self::DAYS), mt_rand(0, 1) * 9);
    }

    private static function viewer(): Viewer
    {
        $passes = [];
        foreach (range(1, mt_rand(1, 3)) as $_) {
            $from = self::instant();
            $passes[] = new Pass(['o', 'q'][mt_rand(0, 1)], $from, $from + mt_rand(1, 20) * 86400, pacedFrom: mt_rand(0, 3) === 0 ? self::instant() : null);
        }

        return new Viewer(signedIn: true, passes: $passes, done: mt_rand(0, 1) === 0 ? [] : ['a' => Instant::parse('2026-05-20T00:00:00Z')]);
    }

    /** About the dates, now and then at just one of them. */
    private static function instant(): int
    {
        return Instant::parse('2026-06-01T00:00:00+02:00') + mt_rand(-5 * 24, self::DAYS * 24) * 3600;
    }

    /**
     * @param  list<Decision>  $decisions
     * @return list<array<string, mixed>>
     */
    private static function told(array $decisions): array
    {
        return array_map(static fn (Decision $decision): array => $decision->toArray(), $decisions);
    }
}

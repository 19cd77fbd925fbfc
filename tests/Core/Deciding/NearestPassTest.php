<?php

declare(strict_types=1);

namespace Tests\Core\Deciding;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Time\Instant;
use Tests\Core\Documents as D;

/** Of several passes that all keep `a` shut, the one whose reasons are told, at noon UTC on 10 March 2026. */
final class NearestPassTest extends TestCase
{
    private const NOW = '2026-03-10T12:00:00Z';

    private const OFFERS = [
        ['key' => 'out', 'course' => 'c', 'tier' => 'gold', 'scope' => ['z']],
        ['key' => 'plain', 'course' => 'c'],
        ['key' => 'out-and-plain', 'course' => 'c', 'scope' => ['z']],
        ['key' => 'weekly', 'course' => 'c', 'tier' => 'gold', 'plan' => 'w'],
        ['key' => 'weekly-plain', 'course' => 'c', 'plan' => 'w'],
        ['key' => 'weekly-out', 'course' => 'c', 'tier' => 'gold', 'plan' => 'w', 'scope' => ['z']],
    ];

    /**
     * @param  list<array{string, string}>  $passes  offers, and the days on which they begin
     * @param  list<string>  $why
     */
    #[DataProvider('passes')]
    public function test_why(array $passes, array $why): void
    {
        $plan = D::plan(
            [D::lesson('a', tiers: ['gold']), D::lesson('z')],
            ['tiers' => ['gold'], 'plans' => ['w' => ['a' => ['opens' => ['rule' => 'after_start', 'days' => 60]]]]], self::OFFERS,
        );
        $decider = new Decider($plan, $plan->courses['c']);
        $held = array_map(static fn (array $pass): array => ['offer' => $pass[0], 'from' => $pass[1].'T08:00:00Z'], $passes);
        $who = (new AskReader($plan))->viewer(D::decoded(['signed_in' => true, 'passes' => $held]));
        foreach ([$decider, CompiledDecider::of($decider->prepared)] as $form) {
            $told = array_column($form->decide($who, Instant::parse(self::NOW)), null, 'item')['a']->why;
            self::assertSame($why, array_map(static fn (Reason $reason): string => $reason->value, $told));
        }
    }

    /** @return iterable<string, array{list<array{string, string}>, list<string>}> */
    public static function passes(): iterable
    {
        yield 'with as many reasons and the same release, the first given' => [[['out', '2026-03-01'], ['plain', '2026-03-01']], ['not_in_pass']];
        yield 'the other way round' => [[['plain', '2026-03-01'], ['out', '2026-03-01']], ['tier']];
        yield 'the first of three' => [[['plain', '2026-03-01'], ['out', '2026-03-01'], ['plain', '2026-03-01']], ['tier']];
        yield 'with as many, the earlier release' => [[['out', '2026-03-02'], ['plain', '2026-03-01']], ['tier']];
        yield 'wherever it stands' => [[['out', '2026-03-01'], ['plain', '2026-03-02']], ['not_in_pass']];
        yield 'the fewest reasons, though it is released later' => [[['out-and-plain', '2026-03-01'], ['plain', '2026-03-09']], ['tier']];
        yield 'what waits for its date alone, though it is released later' => [[['plain', '2026-03-01'], ['weekly', '2026-03-09']], ['not_yet']];
        yield 'with two reasons each, the earlier release' => [[['weekly-plain', '2026-03-05'], ['weekly-out', '2026-03-04']], ['not_in_pass', 'not_yet']];
        yield 'with two reasons each and the same release, the first given' => [[['weekly-plain', '2026-03-04'], ['weekly-out', '2026-03-04']], ['tier', 'not_yet']];
        yield 'one reason before two' => [[['weekly-plain', '2026-03-01'], ['plain', '2026-03-09']], ['tier']];
    }
}

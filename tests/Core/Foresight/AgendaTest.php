<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Foresight\Agenda;
use SilentKeep\Core\Foresight\Turn;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;
use Tests\Core\RandomPlans;

final class AgendaTest extends TestCase
{
    private const NOW = 1_772_366_400; // 2026-03-01T12:00:00Z

    private const DAY = 86400;

    /**
     * @param  array<string, mixed>  $course
     * @param  list<string>  $turns
     */
    #[DataProvider('weeks')]
    public function test_what_time_changes_is_told_at_its_instant(array $course, Viewer $viewer, array $turns): void
    {
        $decider = D::decider([D::lesson('first'), D::module('m', [D::lesson('a'), D::lesson('b')]), D::lesson('last')], ['plans' => ['w' => ['m' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'last' => ['closes' => ['rule' => 'on', 'at' => '2026-03-05T13:00']]]], ...$course], [['key' => 'o', 'course' => 'c', 'plan' => 'w']]);

        self::assertSame($turns, array_map(
            static fn (Turn $turn): string => str_replace('  ', ' ', "{$turn->kind->value} {$turn->of} ".(($turn->at - self::NOW) / self::DAY)),
            (new Agenda(CompiledDecider::of($decider->prepared)))->of($viewer, self::NOW, self::NOW + 7 * self::DAY),
        ));
    }

    /** @return \Generator<string, array{array<string, mixed>, Viewer, list<string>}> */
    public static function weeks(): \Generator
    {
        $holder = static fn (float $from, ?float $until = null, PassState $state = PassState::Active): Viewer => new Viewer(signedIn: true, passes: [new Pass('o', self::NOW + (int) ($from * self::DAY), $until === null ? Instant::NEVER : self::NOW + (int) ($until * self::DAY), $state)]);
        yield 'a module opens, and all in it by that' => [[], $holder(-1), ['opens m 2', 'closes last 4']];
        yield 'a pass ends, and all that it opened by that' => [[], $holder(-1, 3), ['opens m 2', 'pass_ends o 3']];
        yield 'a pass begins, and all that it opens by that' => [[], $holder(1), ['pass_begins o 1', 'opens m 4', 'closes last 4']];
        yield 'what is so at the first instant is no change' => [[], $holder(-3), ['closes last 4']];
        yield 'a paused pass changes nothing' => [[], $holder(-1, state: PassState::Paused), []];
        yield 'the season ends' => [['closes' => '2026-03-03T13:00'], $holder(-1), ['season_ends 2']];
        yield 'nobody' => [[], new Viewer, []];
    }

    public function test_on_random_plans_it_adds_up_to_what_is_open_in_the_end(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $plan = RandomPlans::plan($seed);
            $viewer = RandomPlans::viewer($plan, mayObserve: false);
            $compiled = new CompiledDecider($plan, $plan->courses['c']);
            $from = RandomPlans::instant();
            $turns = (new Agenda($compiled))->of($viewer, $from, $from + 60 * self::DAY);
            $masks = $compiled->viewer($viewer, $from);
            $open = $masks->open($from)[0];
            foreach ($compiled->instants($masks, $from, $from + 60 * self::DAY) as $at) {
                $then = $masks->open($at)[0];
                $told = array_filter($turns, static fn (Turn $turn): bool => $turn->at === $at);
                self::assertSame($then !== $open, $then !== $open && $told !== [], "Seed {$seed}: what changes at {$at} is told.");
                $open = $then;
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Foresight;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Foresight\NewPass;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use Tests\Core\Documents as D;

final class NewPassTest extends TestCase
{
    private const NOW = 1_772_366_400; // 2026-03-01T12:00:00Z

    private const DAY = 86400;

    /** @param  list<Pass>  $held */
    #[DataProvider('pacing')]
    public function test_pacing_is_carried_on(array $held, ?int $pacedFrom): void
    {
        $decider = D::decider([D::lesson('a')], ['plans' => ['w' => new \stdClass, 'v' => new \stdClass]], [
            ['key' => 'old', 'course' => 'c', 'plan' => 'w'], ['key' => 'new', 'course' => 'c', 'plan' => 'w'],
            ['key' => 'other', 'course' => 'c', 'plan' => 'v'], ['key' => 'atonce', 'course' => 'c'],
        ]);
        $offer = $decider->prepared->plan->offer('new');
        self::assertNotNull($offer);

        self::assertSame($pacedFrom, NewPass::of($offer, self::NOW, $held, $decider->prepared, $decider->prepared->plan->zone)->pacedFrom);
    }

    /** @return \Generator<string, array{list<Pass>, ?int}> */
    public static function pacing(): \Generator
    {
        $began = self::NOW - 30 * self::DAY;
        yield 'nothing held' => [[], null];
        yield 'a pass of the same plan' => [[new Pass('old', $began)], $began];
        yield 'one that ends at this instant' => [[new Pass('old', $began, self::NOW)], $began];
        yield 'one that ended a second ago' => [[new Pass('old', $began, self::NOW - 1)], null];
        yield 'a paused one' => [[new Pass('old', $began, state: PassState::Paused)], $began];
        yield 'a revoked one' => [[new Pass('old', $began, state: PassState::Revoked)], null];
        yield 'one of another plan' => [[new Pass('other', $began)], null];
        yield 'one without a plan' => [[new Pass('atonce', $began)], null];
        yield 'one of another course' => [[new Pass('elsewhere', $began)], null];
        yield 'the earliest of several' => [[new Pass('old', $began), new Pass('new', $began - self::DAY)], $began - self::DAY];
        yield 'one that was carried on itself' => [[new Pass('old', $began, pacedFrom: $began - 9 * self::DAY)], $began - 9 * self::DAY];
        yield 'one that begins now' => [[new Pass('old', self::NOW)], null];
        yield 'one that begins later' => [[new Pass('old', self::NOW + self::DAY)], null];
    }

    #[DataProvider('lengths')]
    public function test_it_lasts_as_the_offer_says(mixed $lasts, string $from, ?string $until): void
    {
        $decider = D::decider([D::lesson('a')], [], [['key' => 'o', 'course' => 'c', 'lasts' => $lasts]]);
        $offer = $decider->prepared->plan->offer('o');
        self::assertNotNull($offer);

        self::assertSame($until, Instant::formatOrNull(NewPass::of($offer, Instant::parse($from), [], $decider->prepared, $decider->prepared->plan->zone)->until));
    }

    /** @return \Generator<string, array{mixed, string, ?string}> */
    public static function lengths(): \Generator
    {
        yield 'for good' => [null, '2026-03-01T12:00:00Z', null];
        yield 'ten days' => [['days' => 10], '2026-03-01T12:00:00Z', '2026-03-11T12:00:00Z'];
        yield 'ten days over a clock change end at the same time of day' => [['days' => 10], '2026-03-25T12:00:00Z', '2026-04-04T11:00:00Z'];
        yield 'until a date' => [['until' => '2026-06-01T00:00'], '2026-03-01T12:00:00Z', '2026-05-31T22:00:00Z'];
    }
}

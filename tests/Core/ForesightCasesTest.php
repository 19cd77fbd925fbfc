<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\BestCase;
use SilentKeep\Core\Foresight\DatesForPass;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\ItemDates;
use SilentKeep\Core\Foresight\ItemReach;
use SilentKeep\Core\Foresight\Person;
use SilentKeep\Core\Foresight\WayIn;
use SilentKeep\Core\Foresight\WaysIn;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** The recorded foresight of an independent implementation. */
final class ForesightCasesTest extends TestCase
{
    #[DataProvider('recorded')]
    public function test_every_command_gives_its_recorded_answer(\stdClass $case): void
    {
        $plan = PlanReader::fromDecoded($case->plan);
        $args = Documents::object($case->args);
        $answer = match ($case->command) {
            'keep:dates' => self::dates($plan, $args),
            'keep:best-case' => self::bestCase($plan, $args),
            'keep:ways-in' => self::waysIn($plan, $args),
            'keep:impact' => self::impact($plan, $args),
            default => self::fail("Unknown command {$case->command}"),
        };

        self::assertJsonStringEqualsJsonString(Documents::json($case->answer), Documents::json($answer));
    }

    /** @return \Generator<string, array{\stdClass}> */
    public static function recorded(): \Generator
    {
        foreach (Documents::objects(Documents::recorded('foresight.cases')) as $index => $case) {
            yield "{$case->command} {$index}" => [$case];
        }
    }

    private static function dates(Plan $plan, \stdClass $args): mixed
    {
        [$decider, $offer] = Documents::deciderOf($plan, $args->offer);
        $pass = new Pass($offer->key, Instant::parse($args->from), pacedFrom: isset($args->{'paced-from'}) ? Instant::parse($args->{'paced-from'}) : null);

        return array_map(static fn (ItemDates $one): array => $one->toArray(), (new DatesForPass($decider->prepared))->dates($offer, $pass, Documents::strings($args->label ?? [])));
    }

    private static function bestCase(Plan $plan, \stdClass $args): mixed
    {
        [$decider, $offer] = Documents::deciderOf($plan, $args->offer);
        $from = Instant::parse($args->from);
        $until = match ($args->until ?? null) {
            null => $offer->lasts->end($from, $plan->zone),
            'never' => Instant::NEVER,
            default => Instant::parse($args->until),
        };

        return array_map(static fn (ItemReach $one): array => $one->toArray(), (new BestCase($decider))->of($offer, $from, $until, Documents::strings($args->label ?? [])));
    }

    private static function waysIn(Plan $plan, \stdClass $args): mixed
    {
        $ask = (new AskReader($plan))->ask($args->ask);

        return array_map(static fn (WayIn $way): array => $way->toArray(), (new WaysIn(new Decider($plan, $ask->course), $plan->zone))->to($args->item, $ask->viewer, $ask->at));
    }

    private static function impact(Plan $before, \stdClass $args): mixed
    {
        $after = PlanReader::fromDecoded($args->after);
        $reader = new AskReader($before, anyOffer: true);
        $people = array_map(static fn (\stdClass $person): Person => new Person($person->id, $reader->viewer($person->viewer)), Documents::objects($args->people));
        $impact = new Impact($before, $after, $args->course, Instant::parse($args->at), Instant::parse($args->until));

        return $impact->on($people)->toArray(($args->names ?? false) !== false);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\InvalidAsk;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;
use Tests\Core\Documents;

/** Whatever single thing is altered in plans and asks: schema and reader differ in what no schema can say, and in nothing else. */
final class SchemaMutationTest extends TestCase
{
    /** What a schema cannot say of a plan; the schema's own description names each. */
    private const BEYOND_A_SCHEMA = '~^(names (a tier|an item|a release plan) that the course does not have|names (a tier|an item|a course|an offer) that is not there'
        .'|Not a time zone of the IANA database|Not a local date and time such as 2026-03-01T09:00: "2026-02-30T09:00"'
        .'|is used twice in this course|is used for two (offers|courses)|an item cannot wait for itself'
        .'|must be a whole number from 1 to [1-9], not the number [1-9])~';

    public function test_plans(): void
    {
        $mutants = new Mutants;
        $tried = $refused = 0;
        foreach (['corner', 'labels', 'random'] as $file) {
            foreach (array_slice(Documents::objects(Documents::recorded("{$file}.cases")), 0, 8) as $set) {
                foreach ($mutants->of($set->plan) as $what => $plan) {
                    $offences = self::offences($plan);
                    $tried++;
                    $refused += $offences === [] ? 0 : 1;
                    if (Schemas::accepts('plan', $plan)) {
                        $sayable = array_filter($offences, static fn (Offence $o): bool => preg_match(self::BEYOND_A_SCHEMA, $o->message) !== 1);
                        self::assertSame([], array_map(strval(...), $sayable), "{$what}: the schema could say this");
                    } else {
                        self::assertNotSame([], $offences, "{$what}: the schema alone refuses it");
                    }
                }
            }
        }
        self::assertGreaterThan(2000, $tried);
        self::assertGreaterThan(1500, $refused);
    }

    /** Beside keys that the plan lacks: days that no month has, and whole numbers written with an exponent. */
    public function test_asks(): void
    {
        $mutants = new Mutants;
        $differences = [];
        $tried = 0;
        foreach (['corner', 'labels'] as $file) {
            foreach (Documents::objects(Documents::recorded("{$file}.cases")) as $set) {
                $reader = new AskReader(PlanReader::fromDecoded($set->plan));
                foreach (Documents::objects($set->cases) as $case) {
                    foreach ($mutants->of($case->ask) as $what => $ask) {
                        $tried++;
                        try {
                            $reader->ask($ask);
                            self::assertTrue(Schemas::accepts('ask', $ask), "{$what}: the schema alone refuses it");
                        } catch (InvalidAsk $e) {
                            if (Schemas::accepts('ask', $ask)) {
                                $differences[str_contains($e->getMessage(), 'there is no such') ? 'a key that the plan lacks' : $what] = true;
                            }
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(800, $tried);
        ksort($differences);
        self::assertSame([], array_filter(array_keys($differences), static fn (string $what): bool => ! str_ends_with($what, ' = "2026-02-30T09:00:00Z"') && ! in_array($what, ['a key that the plan lacks', 'id = 1.0e+30'], true)));
    }

    /** @return list<Offence> */
    private static function offences(mixed $plan): array
    {
        try {
            PlanReader::fromDecoded($plan);

            return [];
        } catch (InvalidPlan $e) {
            return $e->offences;
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\PlanReader;

/** The recorded answers of an independent implementation. */
final class CasesTest extends TestCase
{
    /** @param  list<\stdClass>  $cases */
    #[DataProvider('recorded')]
    public function test_every_ask_gives_its_recorded_answer(\stdClass $document, array $cases): void
    {
        $plan = PlanReader::fromDecoded($document);
        foreach ($cases as $case) {
            $ask = (new AskReader($plan))->ask($case->ask);
            foreach ([new Decider($plan, $ask->course), new CompiledDecider($plan, $ask->course)] as $form) {
                $answer = ['id' => $ask->id, 'items' => array_map(static fn (Decision $decision): array => $decision->toArray(), $form->decide($ask->viewer, $ask->at))];

                self::assertJsonStringEqualsJsonString(Documents::json($case->answer), Documents::json($answer), (string) $ask->id);
            }
        }
    }

    /** @return \Generator<string, array{\stdClass, list<\stdClass>}> */
    public static function recorded(): \Generator
    {
        yield 'clinker' => [Documents::object(Documents::recorded('clinker.plan')), Documents::objects(Documents::recorded('clinker.cases'))];
        foreach (['corner', 'labels', 'random'] as $file) {
            foreach (Documents::objects(Documents::recorded("{$file}.cases")) as $index => $set) {
                $cases = Documents::objects($set->cases);
                yield "{$file} {$index} ".$cases[0]->ask->id => [Documents::object($set->plan), $cases];
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;

/** What is no plan at all is refused, and cheaply. */
final class PlanReaderNonsenseTest extends TestCase
{
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_without_a_warning(string $json, string $pointer): void
    {
        try {
            PlanReader::fromJson($json);
            self::fail('It was read.');
        } catch (InvalidPlan $e) {
            self::assertContains($pointer, array_map(static fn (Offence $offence): string => $offence->pointer, $e->offences));
        }
    }

    /** @return \Generator<string, array{string, string}> */
    public static function nonsense(): \Generator
    {
        yield 'nothing' => ['', ''];
        yield 'no JSON' => ['{', ''];
        yield 'a list' => ['[]', ''];
        yield 'null' => ['null', ''];
        yield 'not UTF-8' => ["{\"format\": \"\xff\"}", ''];
        yield 'a mark at the beginning' => ["\xEF\xBB\xBF{}", ''];
        yield 'nested deeper than any plan' => [str_repeat('[', 5000).str_repeat(']', 5000), ''];
        yield 'a name twice' => ['{"format": "a", "format": "silent-keep.plan/1", "school": {"zone": "UTC"}, "offers": [], "courses": []}', '/format'];
        yield 'an item twice in a plan' => ['{"format": "silent-keep.plan/1", "school": {"zone": "UTC"}, "offers": [], "courses": [{"key": "c", "state": "live", "entry": "offer", "items": [{"key": "a", "kind": "lesson"}], "plans": {"w": {"a": {}, "\\u0061": {}}}}]}', '/courses/0/plans/w/a'];
        yield 'a string that looks like two names' => ['{"format": "silent-keep.plan/1", "school": {"zone": "x\\",\\"zone\\":\\""}, "offers": [], "courses": []}', '/school/zone'];
    }

    public function test_fifty_megabytes_of_nonsense_are_refused_in_bounded_memory(): void
    {
        $nonsense = '{"x": "'.str_repeat('y', 50 * 1024 * 1024).'"}';
        $before = memory_get_usage();
        try {
            PlanReader::fromJson($nonsense);
            self::fail('It was read.');
        } catch (InvalidPlan $e) {
            self::assertStringContainsString('larger than', $e->getMessage());
        }
        self::assertLessThan(1024 * 1024, memory_get_usage() - $before);
    }
}

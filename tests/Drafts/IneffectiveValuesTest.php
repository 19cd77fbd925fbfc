<?php

declare(strict_types=1);

namespace Tests\Drafts;

use App\Drafts\Rules\RuleTable;
use App\Models\CourseDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Deciding\Samples;
use SilentKeep\Core\Format\PlanReader;
use Tests\TestCase;

final class IneffectiveValuesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $course
     * @param  array<string, mixed>  $item
     * @param  array<string, ?string>  $expected  reasons by cell
     */
    #[DataProvider('values')]
    public function test_a_value_that_does_nothing_says_why(array $course, array $item, array $expected, bool $schoolGuests = true): void
    {
        $document = CourseDocument::fromJson((string) json_encode([
            'course' => ['key' => 'c', 'state' => 'live', 'entry' => 'offer', 'plans' => ['w' => ['a' => ['opens' => ['rule' => 'held']]]], 'main_plan' => 'w', ...$course, 'items' => [['key' => 'a', 'kind' => 'lesson', ...$item]]],
            'offers' => [],
        ]));
        $row = (new RuleTable($document, null, 'w', 2026, $schoolGuests, static fn (): Samples => new Samples(PlanReader::fromDecoded((object) ['format' => PlanReader::FORMAT, 'school' => (object) ['zone' => 'Europe/Oslo'], 'offers' => [], 'courses' => [$document->raw()]])->courses['c']->outline)))->rows()[0];

        foreach ($expected as $cell => $reason) {
            $vain = $row->{$cell}->vain;
            $reason === null ? self::assertNull($vain, $cell) : self::assertStringContainsString($reason, (string) $vain);
        }
    }

    /** @return \Generator<string, list<mixed>> */
    public static function values(): \Generator
    {
        $shut = ['guest_door' => ['open' => false, 'default' => true], 'observer_door' => ['open' => false]];
        $open = ['guest_door' => ['open' => true], 'observer_door' => ['open' => true]];
        yield 'a sample where anyone gets in' => [['entry' => 'anyone'], ['sample' => true], ['sample' => 'open to anyone']];
        yield 'a sample of what has tiers does something' => [['entry' => 'anyone'], ['sample' => true, 'tiers' => []], ['sample' => null]];
        yield 'a sample where one needs an offer' => [[], ['sample' => true], ['sample' => null]];
        $strangers = ['sample' => true, 'only' => ['kind' => 'visitor']];
        yield 'a sample for strangers alone' => [[], $strangers, ['sample' => null]];
        yield 'for strangers alone, but an account is asked for' => [['sample_needs_account' => true], $strangers, ['sample' => 'for strangers alone, but samples of this course ask for an account']];
        yield 'for those without a label, whoever they are' => [['sample_needs_account' => true], ['sample' => true, 'only' => ['not' => ['label' => 'keen']]], ['sample' => null]];
        yield 'a sample for learners alone' => [[], ['sample' => true, 'only' => ['kind' => 'learner']], ['sample' => 'lets nobody see it without a pass']];
        yield 'an optional lesson' => [[], ['optional' => true], ['optional' => null]];
        yield 'an optional board' => [[], ['kind' => 'board', 'optional' => true], ['optional' => 'A board holds nobody up']];
        yield 'guests at a shut door' => [$shut, ['guests' => true], ['guests' => 'guest door of the course is shut']];
        yield 'guests in a school without guests' => [$open, ['guests' => true], ['guests' => 'school lets no guests in'], false];
        yield 'guests at an open door' => [$open, ['guests' => true], ['guests' => null]];
        yield 'no guests at a shut door is no vain wish' => [$shut, ['guests' => false], ['guests' => null]];
        yield 'observers at a shut door' => [$shut, ['observers' => true], ['observers' => 'observer door of the course is shut']];
        yield 'observers at an open door' => [$open, ['observers' => true], ['observers' => null]];
        yield 'a rule in a plan that nobody uses' => [['main_plan' => null], [], ['opens' => 'No offer uses this release plan']];
        yield 'a rule in the main plan' => [[], [], ['opens' => null]];
        yield 'an order of one' => [[], ['kind' => 'module', 'in_order' => true, 'items' => [['key' => 'b', 'kind' => 'lesson'], ['key' => 'n', 'kind' => 'board']]], ['after' => 'not two things inside']];
        yield 'an order of two' => [[], ['kind' => 'module', 'in_order' => true, 'items' => [['key' => 'b', 'kind' => 'lesson'], ['key' => 'd', 'kind' => 'lesson']]], ['after' => null]];
        yield 'what is not set is never vain' => [['entry' => 'anyone', 'main_plan' => null, 'plans' => ['w' => new \stdClass], ...$shut], [], ['sample' => null, 'guests' => null, 'observers' => null, 'opens' => null, 'after' => null]];
    }
}

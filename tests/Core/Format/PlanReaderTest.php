<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;
use Tests\Core\Documents;

final class PlanReaderTest extends TestCase
{
    private const C = '/courses/0';

    /** @param  \Closure(\stdClass): void  $spoil */
    #[DataProvider('bad')]
    public function test_a_bad_document_is_refused_at_the_offence(\Closure $spoil, string $pointer, bool $schemaSeesIt = true): void
    {
        $document = self::good();
        $spoil($document);

        self::assertContains($pointer, self::pointers($document));
        self::assertSame(! $schemaSeesIt, Schemas::accepts('plan', $document), 'what the schema says');
    }

    /** @return \Generator<string, array{0: \Closure(\stdClass): void, 1: string, 2?: bool}> */
    public static function bad(): \Generator
    {
        $course = static fn (string $key, mixed $value): \Closure => static function (\stdClass $d) use ($key, $value): void {
            $d->courses[0]->{$key} = $value;
        };
        $item = static fn (string $key, mixed $value, int $at = 1): \Closure => static function (\stdClass $d) use ($key, $value, $at): void {
            $d->courses[0]->items[0]->items[$at]->{$key} = $value;
        };
        $offer = static fn (string $key, mixed $value): \Closure => static function (\stdClass $d) use ($key, $value): void {
            $d->offers[0]->{$key} = $value;
        };
        $opens = static fn (mixed $rule): \Closure => $course('plans', (object) ['w' => (object) ['m' => (object) ['opens' => $rule]]]);
        $closes = static fn (mixed $rule): \Closure => $course('plans', (object) ['w' => (object) ['m' => (object) ['closes' => $rule]]]);
        $opening = self::C.'/plans/w/m/opens';
        $second = self::C.'/items/0/items/1';

        foreach (['format', 'school', 'offers', 'courses'] as $key) {
            yield "{$key} missing" => [static function (\stdClass $d) use ($key): void {
                unset($d->{$key});
            }, "/{$key}"];
        }
        foreach (['key', 'state', 'entry', 'items'] as $key) {
            yield "course without {$key}" => [static function (\stdClass $d) use ($key): void {
                unset($d->courses[0]->{$key});
            }, self::C."/{$key}"];
        }
        yield 'zone missing' => [static function (\stdClass $d): void {
            unset($d->school->zone);
        }, '/school/zone'];
        yield 'another format' => [static function (\stdClass $d): void {
            $d->format = 'silent-keep.plan/2';
        }, '/format'];
        yield 'an unknown key at the top' => [static function (\stdClass $d): void {
            $d->colour = 1;
        }, '/colour'];
        yield 'no such zone' => [static function (\stdClass $d): void {
            $d->school->zone = 'Mars/Olympus';
        }, '/school/zone', false];
        yield 'guests as text' => [static function (\stdClass $d): void {
            $d->school->guests = 'yes';
        }, '/school/guests'];
        yield 'courses as an object' => [static function (\stdClass $d): void {
            $d->courses = (object) [];
        }, '/courses'];
        yield 'an offer that is no object' => [static function (\stdClass $d): void {
            $d->offers[] = 7;
        }, '/offers/1'];
        yield 'a course key twice' => [static function (\stdClass $d): void {
            $d->courses[] = Documents::decoded(['key' => 'c', 'state' => 'live', 'entry' => 'offer', 'items' => []]);
        }, '/courses/1/key', false];
        yield 'an offer key twice' => [static function (\stdClass $d): void {
            $d->offers[] = Documents::decoded(['key' => 'o', 'course' => 'c']);
        }, '/offers/1/key', false];
        yield 'a null course' => [$offer('course', null), '/offers/0/course'];
        yield 'an offer of no course' => [$offer('course', 'x'), '/offers/0/course', false];
        yield 'an offer of no tier' => [$offer('tier', 'x'), '/offers/0/tier', false];
        yield 'an offer of no plan' => [$offer('plan', 'x'), '/offers/0/plan', false];
        yield 'a scope of no item' => [$offer('scope', ['a', 'x']), '/offers/0/scope/1', false];
        yield 'a scope as text' => [$offer('scope', 'a'), '/offers/0/scope'];
        yield 'labels as text' => [$offer('labels', 'keen'), '/offers/0/labels'];
        yield 'a label that is no text' => [$offer('labels', ['keen', 7]), '/offers/0/labels/1'];
        yield 'an empty label' => [$offer('labels', ['']), '/offers/0/labels/0'];
        yield 'a label twice in one offer' => [$offer('labels', ['keen', 'late', 'keen']), '/offers/0/labels/2'];
        yield 'lasting both ways' => [$offer('lasts', (object) ['days' => 1, 'until' => '2026-01-01T00:00']), '/offers/0/lasts'];
        yield 'lasting no way' => [$offer('lasts', (object) []), '/offers/0/lasts'];
        yield 'lasting negative days' => [$offer('lasts', (object) ['days' => -1]), '/offers/0/lasts/days'];
        yield 'lasting until 30 February' => [$offer('lasts', (object) ['until' => '2026-02-30T00:00']), '/offers/0/lasts/until', false];
        yield 'a state that is none' => [$course('state', 'archived'), self::C.'/state'];
        yield 'an entry that is none' => [$course('entry', 'free'), self::C.'/entry'];
        yield 'a course that closes as it opens' => [static function (\stdClass $d): void {
            $d->courses[0]->opens = $d->courses[0]->closes = '2026-01-01T00:00';
        }, self::C.'/closes', false];
        yield '25:00' => [$course('opens', '2026-01-01T25:00'), self::C.'/opens'];
        yield 'seconds in a local time' => [$course('opens', '2026-01-01T09:00:00'), self::C.'/opens'];
        yield 'a follow at the guest door' => [$course('guest_door', (object) ['follow' => true]), self::C.'/guest_door/follow'];
        yield 'a main plan that is not there' => [$course('main_plan', 'x'), self::C.'/main_plan', false];
        yield 'plans as a list' => [$course('plans', []), self::C.'/plans'];
        yield 'a plan for no item' => [$course('plans', (object) ['w' => (object) ['x' => (object) []]]), self::C.'/plans/w/x', false];
        yield 'a pointer with a slash' => [$course('plans', (object) ['w/e' => (object) ['x~' => (object) []]]), self::C.'/plans/w~1e/x~0', false];
        yield 'a rule without a name' => [$opens((object) ['days' => 1]), "{$opening}/rule"];
        yield 'an unknown rule' => [$opens((object) ['rule' => 'weekly']), "{$opening}/rule"];
        yield 'negative days' => [$opens((object) ['rule' => 'after_start', 'days' => -1]), "{$opening}/days"];
        yield 'half days' => [$opens((object) ['rule' => 'after_start', 'days' => 1.5]), "{$opening}/days"];
        yield 'days as text' => [$opens((object) ['rule' => 'after_start', 'days' => '1']), "{$opening}/days"];
        yield 'days beyond all calendars' => [$opens((object) ['rule' => 'after_start', 'days' => 9_000_000_000]), "{$opening}/days"];
        yield 'no days' => [$opens((object) ['rule' => 'after_previous']), "{$opening}/days"];
        yield 'an opening at no time' => [$opens((object) ['rule' => 'on']), "{$opening}/at"];
        yield 'an opening on 30 February' => [$opens((object) ['rule' => 'on', 'at' => '2026-02-30T09:00']), "{$opening}/at", false];
        yield 'a time for a rule that takes none' => [$opens((object) ['rule' => 'at_once', 'time' => '09:00']), "{$opening}/time"];
        yield 'a weekday for a date' => [$opens((object) ['rule' => 'on', 'at' => '2026-02-03T09:00', 'weekday' => 1]), "{$opening}/weekday"];
        yield 'a bad time' => [$opens((object) ['rule' => 'after_start', 'days' => 1, 'time' => '25:00']), "{$opening}/time"];
        yield 'an eighth weekday' => [$opens((object) ['rule' => 'after_start', 'days' => 1, 'weekday' => 8]), "{$opening}/weekday"];
        yield 'a time on a closing' => [$closes((object) ['rule' => 'after_open', 'days' => 1, 'time' => '09:00']), self::C.'/plans/w/m/closes/time'];
        yield 'a closing that is an opening' => [$closes((object) ['rule' => 'held']), self::C.'/plans/w/m/closes/rule'];
        yield 'an item key twice' => [$item('key', 'a'), "{$second}/key", false];
        yield 'an unknown item key' => [$item('colour', 'red'), "{$second}/colour"];
        yield 'an unknown kind' => [$item('kind', 'chapter'), "{$second}/kind"];
        yield 'a part in a module' => [$item('kind', 'part'), "{$second}/kind"];
        yield 'something in a board' => [static function (\stdClass $d): void {
            $d->courses[0]->items[1]->items = [(object) ['key' => 'z', 'kind' => 'lesson']];
        }, self::C.'/items/1/items/0/kind'];
        yield 'a lesson in a lesson' => [$item('items', [(object) ['key' => 'z', 'kind' => 'lesson']]), "{$second}/items/0/kind"];
        yield 'in order on a lesson' => [$item('in_order', true), "{$second}/in_order"];
        yield 'optional as a word' => [$item('optional', 'yes'), "{$second}/optional"];
        yield 'a draft as a number' => [$item('draft', 1), "{$second}/draft"];
        yield 'a tier that is not there' => [$item('tiers', ['x']), "{$second}/tiers/0", false];
        yield 'a tier that is no text' => [$item('tiers', [5]), "{$second}/tiers/0"];
        yield 'never for whom' => [$item('never_for', ['guests', 'staff']), "{$second}/never_for/1"];
        yield 'when closed, what' => [$item('when_closed', 'vanish'), "{$second}/when_closed"];
        yield 'waiting for nothing known' => [$item('after', (object) ['all' => ['a', 'x']]), "{$second}/after/all/1", false];
        yield 'waiting for a board' => [$item('after', (object) ['any' => ['news']]), "{$second}/after/any/0", false];
        yield 'waiting for itself' => [$item('after', (object) ['all' => ['b']]), "{$second}/after/all/0", false];
        yield 'waiting for its own module' => [$item('after', (object) ['all' => ['m']]), "{$second}/after/all/0", false];
        yield 'a module waiting for its own lesson' => [static function (\stdClass $d): void {
            $d->courses[0]->items[0]->after = (object) ['all' => ['a']];
        }, self::C.'/items/0/after/all/0', false];
        yield 'waiting in two ways' => [$item('after', (object) ['all' => ['a'], 'any' => ['a']]), "{$second}/after"];
        yield 'waiting in no way' => [$item('after', (object) []), "{$second}/after"];
        yield 'at least none' => [$item('after', (object) ['at_least' => 0, 'of' => ['a']]), "{$second}/after/at_least"];
        yield 'at least more than there are' => [$item('after', (object) ['at_least' => 2, 'of' => ['a']]), "{$second}/after/at_least", false];
        yield 'a condition of two' => [$item('only', (object) ['label' => 'x', 'tier' => 'gold']), "{$second}/only"];
        yield 'a condition of none' => [$item('only', (object) []), "{$second}/only"];
        yield 'an unknown condition' => [$item('only', (object) ['age' => 18]), "{$second}/only/age"];
        yield 'a condition deep inside' => [$item('only', (object) ['all' => [(object) ['not' => (object) ['done' => 'x']]]]), "{$second}/only/all/0/not/done", false];
        yield 'a condition on no tier' => [$item('only', (object) ['tier' => 'x']), "{$second}/only/tier", false];
        yield 'a condition on no offer' => [$item('only', (object) ['offer' => 'x']), "{$second}/only/offer", false];
        yield 'a condition on no kind' => [$item('only', (object) ['kind' => 'robot']), "{$second}/only/kind"];
        yield 'a condition on a bad date' => [$item('only', (object) ['from' => 'tomorrow']), "{$second}/only/from"];
        yield 'a condition that is null' => [$item('only', (object) ['all' => null]), "{$second}/only/all"];
        yield 'finished how' => [$item('finish', (object) ['by' => 'luck']), "{$second}/finish/by"];
        yield 'watched not at all' => [$item('finish', (object) ['by' => 'watch', 'share' => 0]), "{$second}/finish/share"];
        yield 'a score above all' => [$item('finish', (object) ['by' => 'quiz', 'score' => 1.1]), "{$second}/finish/score"];
        yield 'a share for a mark' => [$item('finish', (object) ['by' => 'mark', 'share' => 0.5]), "{$second}/finish/share"];
        yield 'watched, how much' => [$item('finish', (object) ['by' => 'watch']), "{$second}/finish/share"];
        yield 'a title that is none' => [$item('title', 5), "{$second}/title"];
        yield 'a display that is none' => [$item('display', []), "{$second}/display"];
        yield 'items as an object' => [$item('items', (object) []), "{$second}/items"];
        yield 'an item that is none' => [static function (\stdClass $d): void {
            $d->courses[0]->items[] = 'lesson';
        }, self::C.'/items/2'];
    }

    public function test_every_offence_is_told_once(): void
    {
        $document = self::good();
        $document->colour = 1;
        $document->courses[0]->items[0]->items[1]->kind = 'chapter';
        $document->courses[0]->items[0]->items[1]->tiers = ['x'];
        $document->courses[0]->items[] = 7;

        self::assertSame(['/colour', '/courses/0/items/2', '/courses/0/items/0/items/1/kind', '/courses/0/items/0/items/1/tiers/0'], self::pointers($document));
    }

    /** @param  \Closure(\stdClass): void  $change */
    #[DataProvider('fine')]
    public function test_what_is_no_offence(\Closure $change): void
    {
        $document = self::good();
        $change($document);

        self::assertSame([], self::pointers($document));
        self::assertTrue(Schemas::accepts('plan', $document));
    }

    /** @return \Generator<string, array{\Closure(\stdClass): void}> */
    public static function fine(): \Generator
    {
        $item = static fn (string $key, mixed $value): \Closure => static function (\stdClass $d) use ($key, $value): void {
            $d->courses[0]->items[0]->items[1]->{$key} = $value;
        };
        yield 'as it is' => [static function (): void {
        }];
        foreach (['title', 'display', 'draft', 'sample', 'optional', 'tiers', 'only', 'guests', 'observers', 'never_for', 'after', 'in_order', 'when_closed', 'finish', 'items'] as $key) {
            yield "{$key} null" => [$item($key, null)];
        }
        yield 'in order false on a lesson' => [$item('in_order', false)];
        yield 'a board that is optional' => [static function (\stdClass $d): void {
            $d->courses[0]->items[1]->optional = true;
        }];
        foreach (['null' => null, 'none' => [], 'one' => ['keen'], 'of digits' => ['7', '07']] as $which => $labels) {
            yield "labels of an offer: {$which}" => [static function (\stdClass $d) use ($labels): void {
                $d->offers[0]->labels = $labels;
            }];
        }
        yield 'no parts' => [$item('items', [])];
        yield 'waiting for nothing' => [$item('after', (object) ['all' => []])];
        yield 'waiting for each other' => [static function (\stdClass $d): void {
            $d->courses[0]->items[0]->items[0]->after = (object) ['all' => ['b']];
            $d->courses[0]->items[0]->items[1]->after = (object) ['all' => ['a']];
        }];
        yield 'whole days written as 7.0' => [static function (\stdClass $d): void {
            $d->courses[0]->plans = (object) ['w' => (object) ['m' => (object) ['opens' => (object) ['rule' => 'after_start', 'days' => 7.0, 'time' => null, 'weekday' => null]]]];
        }];
        yield 'an entry of nothing' => [static function (\stdClass $d): void {
            $d->courses[0]->plans = (object) ['w' => (object) ['m' => null, 'a' => (object) []]];
        }];
        yield 'keys that look like numbers' => [static function (\stdClass $d): void {
            $d->courses[0]->items[0]->items[0]->key = '12';
            $d->offers[0]->scope = ['12'];
            $d->courses[0]->plans = (object) ['7' => (object) ['12' => (object) []]];
            $d->courses[0]->main_plan = '7';
        }];
    }

    public function test_a_flood_of_offences_is_told_in_part(): void
    {
        $document = self::good();
        for ($i = 0; $i < 3000; $i++) {
            $document->{"key{$i}"} = 1;
        }

        self::assertCount(1001, self::pointers($document));
    }

    public function test_every_recorded_plan_is_valid_to_both(): void
    {
        $documents = [Documents::recorded('clinker.plan')];
        foreach (['corner', 'labels', 'random'] as $file) {
            foreach (Documents::objects(Documents::recorded("{$file}.cases")) as $set) {
                $documents[] = $set->plan;
                foreach (Documents::objects($set->cases) as $case) {
                    self::assertTrue(Schemas::accepts('ask', $case->ask));
                    self::assertTrue(Schemas::accepts('answer', $case->answer));
                }
            }
        }
        foreach ($documents as $document) {
            self::assertTrue(Schemas::accepts('plan', $document));
            PlanReader::fromDecoded($document);
        }
    }

    /** @return list<string> */
    private static function pointers(mixed $document): array
    {
        try {
            PlanReader::fromDecoded($document);
        } catch (InvalidPlan $e) {
            return array_map(static fn (Offence $offence): string => $offence->pointer, $e->offences);
        }

        return [];
    }

    private static function good(): \stdClass
    {
        return Documents::document([
            Documents::module('m', [Documents::lesson('a'), Documents::lesson('b')]),
            Documents::board('news'),
        ], ['tiers' => ['gold']]);
    }
}

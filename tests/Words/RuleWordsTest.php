<?php

declare(strict_types=1);

namespace Tests\Words;

use App\Models\CourseDocument;
use App\Models\Document\DocumentAfter;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentTime;
use App\Words\Differences;
use App\Words\RuleWords;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class RuleWordsTest extends TestCase
{
    /** @param  ?array<string, mixed>  $rule */
    #[DataProvider('openings')]
    public function test_an_opening_in_words(?array $rule, ?string $words): void
    {
        self::assertSame($words, RuleWords::opening(DocumentTime::of($rule === null ? null : (object) $rule), 2026));
    }

    /** @return list<array{?array<string, mixed>, ?string}> */
    public static function openings(): array
    {
        return [
            [null, null],
            [['rule' => 'at_once'], 'at once'],
            [['rule' => 'held'], 'only when handed out'],
            [['rule' => 'on', 'at' => '2026-03-09T09:00'], 'Mon 9 Mar, 09:00'],
            [['rule' => 'on', 'at' => '2027-03-09T09:00'], 'Tue 9 Mar 2027, 09:00'],
            [['rule' => 'after_start', 'days' => 0], 'on joining'],
            [['rule' => 'after_start', 'days' => 1], '1 day after joining'],
            [['rule' => 'after_start', 'days' => 7, 'time' => '09:00'], '7 days after joining, 09:00'],
            [['rule' => 'after_previous', 'days' => 7, 'weekday' => 1, 'time' => '09:00'], '7 days after the one before, next Mon, 09:00'],
            [['rule' => 'after_previous', 'days' => 0, 'weekday' => 7], 'with the one before, next Sun'],
        ];
    }

    #[DataProvider('conditions')]
    public function test_a_condition_in_words(mixed $condition, string $words): void
    {
        $title = static fn (string $key): string => "«{$key}»";

        self::assertSame($words, RuleWords::condition(DocumentCondition::of(json_decode((string) json_encode($condition))), $title));
    }

    /** @return list<array{mixed, string}> */
    public static function conditions(): array
    {
        return [
            [null, 'everyone'],
            [['label' => 'oar-bonus'], 'label oar-bonus'],
            [['kind' => 'guest'], 'guests only'],
            [['not' => ['label' => 'x']], 'not label x'],
            [['all' => [['label' => 'x'], ['any' => [['tier' => 'gold'], ['done' => 'l1']]]]], 'label x and (tier gold or who finished «l1»)'],
            [['all' => []], 'everyone'],
            [['any' => []], 'nobody'],
            [['from' => '2026-03-09T09:00'], 'from Mon 9 Mar 2026, 09:00'],
            [['until' => '2026-03-09T09:00'], 'until Mon 9 Mar 2026, 09:00'],
            [['offer' => 'full'], 'by offer full'],
        ];
    }

    public function test_prerequisites_in_words(): void
    {
        $title = static fn (string $key): string => strtoupper($key);
        $after = static fn (array $rule): ?string => RuleWords::after(new DocumentAfter((object) $rule), $title);

        self::assertSame('A, B and C', $after(['all' => ['a', 'b', 'c']]));
        self::assertSame('A or B', $after(['any' => ['a', 'b']]));
        self::assertSame('any 2 of A, B and C', $after(['at_least' => 2, 'of' => ['a', 'b', 'c']]));
        self::assertNull($after(['all' => []]));
        self::assertNull(RuleWords::after(null, $title));
    }

    /** @param  \Closure(CourseDocument): void  $change */
    #[DataProvider('changes')]
    public function test_each_change_has_its_sentence(\Closure $change, string ...$sentences): void
    {
        $before = CourseDocument::fromJson((string) json_encode([
            'course' => ['key' => 'c', 'title' => 'Course', 'state' => 'live', 'entry' => 'offer', 'plans' => ['w' => ['a' => ['opens' => ['rule' => 'held']]]], 'items' => [
                ['key' => 'm', 'kind' => 'module', 'title' => 'Module', 'items' => [['key' => 'a', 'kind' => 'lesson', 'title' => 'First'], ['key' => 'b', 'kind' => 'lesson', 'title' => 'Second']]],
                ['key' => 'z', 'kind' => 'lesson', 'title' => 'Last'],
            ]],
            'offers' => [['key' => 'o', 'course' => 'c', 'title' => 'Full pass', 'plan' => 'w']],
        ]));
        $after = $before->copy();
        $change($after);

        self::assertSame(array_values($sentences), array_map(strval(...), Differences::between($before, $after)->sentences));
    }

    /** @return \Generator<string, list<mixed>> */
    public static function changes(): \Generator
    {
        $item = static fn (string $field, mixed $value): \Closure => static function (CourseDocument $d) use ($field, $value): void {
            $d->editItem('a')?->set($field, json_decode((string) json_encode($value)));
        };
        yield 'nothing' => [static fn () => null];
        yield 'a sample' => [$item('sample', true), 'First: sample is now yes (was: no)'];
        yield 'tiers' => [$item('tiers', ['gold', 'silver']), 'First is now for gold and silver (was: every pass)'];
        yield 'no tier' => [$item('tiers', []), 'First is now for no pass (was: every pass)'];
        yield 'a condition' => [$item('only', ['label' => 'x']), 'First: for whom is now label x (was: everyone)'];
        yield 'guests' => [$item('guests', false), 'First: guests is now no (was: as above)'];
        yield 'what comes first' => [$item('after', ['all' => ['z']]), 'First: what comes first is now Last (was: nothing)'];
        yield 'when closed' => [$item('when_closed', 'hide'), 'First: when closed is now hidden (was: title shows)'];
        yield 'another title' => [$item('title', 'Foremost'), 'Foremost: title is now Foremost (was: First)'];
        yield 'an opening' => [static function (CourseDocument $d): void {
            $d->raw()->plans->w->a->opens = (object) ['rule' => 'at_once'];
        }, 'First opens at once (was: only when handed out)'];
        yield 'a closing' => [static function (CourseDocument $d): void {
            $d->raw()->plans->w->a->closes = (object) ['rule' => 'after_open', 'days' => 9];
        }, 'First closes 9 days after opening (was: never)'];
        yield 'an opening among several plans' => [static function (CourseDocument $d): void {
            $d->raw()->plans->v = new \stdClass;
            unset($d->raw()->plans->w->a);
        }, 'First opens with the module or lesson around it in the w plan (was: only when handed out)', 'The release plan v is added'];
        yield 'an item more' => [static function (CourseDocument $d): void {
            $d->raw()->items[] = (object) ['key' => 'n', 'kind' => 'lesson', 'title' => 'New'];
        }, 'New is added'];
        yield 'an item less' => [static function (CourseDocument $d): void {
            array_pop($d->raw()->items);
        }, 'Last is taken out'];
        yield 'another order' => [static function (CourseDocument $d): void {
            $d->raw()->items[0]->items = array_reverse($d->raw()->items[0]->items);
        }, 'The outline is in another order'];
        yield 'another place' => [static function (CourseDocument $d): void {
            $d->raw()->items[] = array_pop($d->raw()->items[0]->items);
        }, 'Second moves to the top'];
        yield 'into a module' => [static function (CourseDocument $d): void {
            $d->raw()->items[0]->items[] = array_pop($d->raw()->items);
        }, 'Last moves into Module'];
        yield 'another order at the top' => [static function (CourseDocument $d): void {
            $d->raw()->items = array_reverse($d->raw()->items);
        }, 'The outline is in another order'];
        yield 'finished by a visit' => [$item('finish', ['by' => 'visit']), 'First: how it is finished is now by the first visit (was: by its learner’s mark)'];
        yield 'finished by watching' => [$item('finish', ['by' => 'watch', 'share' => 0.9]), 'First: how it is finished is now by watching 90 % of its video (was: by its learner’s mark)'];
        yield 'finished by a quiz' => [$item('finish', ['by' => 'quiz', 'score' => 0.7]), 'First: how it is finished is now by a quiz, from 70 % (was: by its learner’s mark)'];
        yield 'never for guests' => [$item('never_for', ['guests']), 'First: never for is now guests (was: nobody)'];
        yield 'in order' => [static function (CourseDocument $d): void {
            $d->raw()->items[0]->in_order = true;
        }, 'Module: in order is now yes (was: no)'];
        yield 'a draft' => [$item('draft', true), 'First: draft is now yes (was: no)'];
        yield 'observers' => [$item('observers', true), 'First: observers is now yes (was: as above)'];
        yield 'a condition on an offer' => [$item('only', ['offer' => 'o']), 'First: for whom is now by offer Full pass (was: everyone)'];
        yield 'the guest door' => [static function (CourseDocument $d): void {
            $d->raw()->guest_door = (object) ['open' => true, 'default' => false];
        }, 'The course: guest door is now open, only where marked (was: shut)'];
        yield 'the observer door' => [static function (CourseDocument $d): void {
            $d->raw()->observer_door = (object) ['open' => true, 'default' => true, 'follow' => false];
        }, 'The course: observer door is now open, not bound to what the learner sees (was: shut)'];
        yield 'a pass phrase, which is not told' => [static function (CourseDocument $d): void {
            $d->raw()->display = (object) ['guest_phrase' => 'tar and oakum'];
        }, 'The guest door asks for a pass phrase'];
        yield 'the main plan' => [static function (CourseDocument $d): void {
            $d->raw()->main_plan = 'w';
        }, 'The course: main plan is now w (was: none)'];
        yield 'the pace of an offer' => [static function (CourseDocument $d): void {
            $d->editOffers()[0]->set('plan', null);
        }, 'The offer Full pass: pace is now all at once (was: w)'];
        yield 'how long a pass lasts' => [static function (CourseDocument $d): void {
            $d->editOffers()[0]->set('lasts', (object) ['days' => 10]);
        }, 'The offer Full pass: how long a pass lasts is now 10 days (was: for good)'];
        yield 'another name of a plan' => [static function (CourseDocument $d): void {
            $d->raw()->plans = (object) ['weekly' => $d->raw()->plans->w];
            $d->editOffers()[0]->set('plan', 'weekly');
        }, 'The release plan w is called weekly'];
        yield 'the season' => [static function (CourseDocument $d): void {
            $d->raw()->opens = '2026-03-09T09:00';
        }, 'The course: beginning of the season is now Mon 9 Mar 2026, 09:00 (was: not set)'];
        yield 'who gets in' => [static function (CourseDocument $d): void {
            $d->raw()->entry = 'anyone';
        }, 'The course: who gets in is now anyone (was: offer)'];
        yield 'an offer\'s scope' => [static function (CourseDocument $d): void {
            $d->editOffers()[0]->set('scope', ['m']);
        }, 'The offer Full pass: scope is now Module (was: the whole course)'];
    }

    public function test_a_first_publication_says_so(): void
    {
        $document = CourseDocument::fromJson('{"course": {"key": "c", "title": "Course"}, "offers": []}');

        self::assertSame(['Course is published for the first time'], array_map(strval(...), Differences::between(null, $document)->sentences));
    }
}

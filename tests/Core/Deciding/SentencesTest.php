<?php

declare(strict_types=1);

namespace Tests\Core\Deciding;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Format\AskReader;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Time\Instant;
use Tests\Core\Documents as D;

/**
 * One row for each sentence of the contract's section 4 that could be misread, asked at noon UTC on 10 March
 * 2026 (13:00 in Oslo). Each answer reads "state", or "state via act|look", or "state: reasons".
 */
final class SentencesTest extends TestCase
{
    private const NOW = '2026-03-10T12:00:00Z';

    /**
     * @param  list<array<string, mixed>>  $items
     * @param  array<string, mixed>  $course
     * @param  array<string, mixed>  $viewer
     * @param  array<string, string>  $expected  by item
     * @param  ?list<array<string, mixed>>  $offers
     */
    #[DataProvider('sentences')]
    public function test_it_is_decided_so(array $items, array $course, array $viewer, array $expected, ?array $offers = null): void
    {
        $plan = D::plan($items, $course, $offers ?? [['key' => 'o', 'course' => 'c']]);
        $decider = new Decider($plan, $plan->courses['c']);
        $who = (new AskReader($plan))->viewer(D::decoded((object) $viewer));
        $told = [];
        foreach ($decider->decide($who, Instant::parse(self::NOW)) as $decision) {
            if (isset($expected[$decision->item])) {
                $told[$decision->item] = self::tell($decision, $expected[$decision->item]);
            }
        }

        self::assertEquals($expected, $told);
        self::assertEquals($decider->decide($who, Instant::parse(self::NOW)), CompiledDecider::of($decider->prepared)->decide($who, Instant::parse(self::NOW)));
    }

    public function test_passes_of_other_courses_are_ignored(): void
    {
        $document = D::document([D::lesson('a')], [], [['key' => 'o', 'course' => 'd']]);
        $document->courses[] = D::decoded(['key' => 'd', 'state' => 'live', 'entry' => 'offer', 'items' => [D::lesson('a')]]);
        $plan = PlanReader::fromDecoded($document);
        $viewer = (new AskReader($plan))->viewer(D::decoded(self::holder()));

        self::assertSame(['no_pass'], (new Decider($plan, $plan->courses['c']))->decide($viewer, Instant::parse(self::NOW))[0]->toArray()['why']);
        self::assertSame(['no_pass'], (new CompiledDecider($plan, $plan->courses['c']))->decide($viewer, Instant::parse(self::NOW))[0]->toArray()['why']);
    }

    private static function tell(Decision $decision, string $expected): string
    {
        $state = $decision->state->value;

        return match (true) {
            ! str_contains($expected, ' ') => $state,
            $decision->via !== null => "{$state} {$decision->via->value} ".($decision->act ? 'act' : 'look'),
            default => "{$state}: ".implode(' ', array_map(static fn ($reason): string => $reason->value, $decision->why)),
        };
    }

    /** @return \Generator<string, list<mixed>> */
    public static function sentences(): \Generator
    {
        $one = [D::lesson('a')];
        $holder = self::holder();

        // 4.1
        yield 'a pass is active from its first instant' => [$one, [], self::holder(from: self::NOW), ['a' => 'open pass act']];
        yield 'a pass is not active before it' => [$one, [], self::holder(from: '2026-03-10T12:00:01Z'), ['a' => 'locked: pass_not_started']];
        yield 'a pass has ended at its until' => [$one, [], self::holder(until: self::NOW), ['a' => 'locked: pass_ended']];
        yield 'a pass is active the second before its until' => [$one, [], self::holder(until: '2026-03-10T12:00:01Z'), ['a' => 'open pass act']];
        yield 'a paused pass is not active' => [$one, [], self::holder(state: 'paused'), ['a' => 'locked: pass_paused']];
        yield 'a revoked pass that has ended too is revoked' => [$one, [], self::holder(state: 'revoked', until: self::NOW), ['a' => 'locked: pass_revoked']];
        yield 'of passes that are not active the one that began last tells' => [$one, [], ['signed_in' => true, 'passes' => [
            ['offer' => 'o', 'from' => '2026-03-05T00:00:00Z', 'state' => 'paused'], ['offer' => 'o', 'from' => '2026-03-01T00:00:00Z', 'state' => 'revoked'],
        ]], ['a' => 'locked: pass_paused']];
        yield 'and of those that began together the first given' => [$one, [], ['signed_in' => true, 'passes' => [
            ['offer' => 'o', 'from' => '2026-03-05T00:00:00Z', 'state' => 'paused'], ['offer' => 'o', 'from' => '2026-03-05T00:00:00Z', 'state' => 'revoked'],
        ]], ['a' => 'locked: pass_paused']];

        // 4.2
        $only = static fn (mixed $condition): array => [D::lesson('a', only: $condition)];
        yield 'all of nothing holds' => [$only(['all' => []]), [], $holder, ['a' => 'open']];
        yield 'any of nothing does not' => [$only(['any' => []]), [], $holder, ['a' => 'locked: not_for_you']];
        yield 'a label holds' => [$only(['label' => 'x']), [], self::holder(labels: ['x']), ['a' => 'open']];
        yield 'not a label' => [$only(['not' => ['label' => 'x']]), [], self::holder(labels: ['x']), ['a' => 'locked: not_for_you']];
        yield 'from an instant on' => [$only(['from' => '2026-03-10T13:00']), [], $holder, ['a' => 'open']];
        yield 'not before it' => [$only(['from' => '2026-03-10T13:01']), [], $holder, ['a' => 'locked: not_for_you']];
        yield 'until an instant, itself left out' => [$only(['until' => '2026-03-10T13:00']), [], $holder, ['a' => 'locked: not_for_you']];
        yield 'until after it' => [$only(['until' => '2026-03-10T13:01']), [], $holder, ['a' => 'open']];
        yield 'the tier of the pass being tried' => [$only(['tier' => 'gold']), ['tiers' => ['gold']], $holder, ['a' => 'open'], [['key' => 'o', 'course' => 'c', 'tier' => 'gold']]];
        yield 'a tier on a route without a pass' => [$only(['tier' => 'gold']), ['tiers' => ['gold'], 'entry' => 'anyone'], ['signed_in' => true], ['a' => 'locked: not_for_you']];
        yield 'the offer of the pass being tried' => [$only(['offer' => 'o']), [], $holder, ['a' => 'open']];
        yield 'a condition on what it stands in binds too' => [[D::module('m', [D::lesson('a')], only: ['label' => 'x'])], [], $holder, ['a' => 'locked: not_for_you']];
        yield 'a board is done when it is recorded' => [[D::board('b'), D::lesson('a', only: ['done' => 'b'])], [], self::holder(done: ['b']), ['a' => 'open']];
        yield 'a module is done when all its lessons are' => [[D::module('m', [D::lesson('l'), D::lesson('k')]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l', 'k']), ['a' => 'open']];
        yield 'and not by being recorded itself' => [[D::module('m', [D::lesson('l')]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['m']), ['a' => 'locked: not_for_you']];
        yield 'a draft lesson does not count for it' => [[D::module('m', [D::lesson('l'), D::lesson('k', draft: true)]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'open']];
        yield 'a lesson of another tier does not count for it' => [[D::module('m', [D::lesson('l'), D::lesson('k', tiers: [])]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'open']];
        yield 'an optional lesson does not count for it' => [[D::module('m', [D::lesson('l'), D::lesson('k', optional: true)]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'open']];
        yield 'nor what is inside something optional' => [[D::module('m', [D::lesson('l'), D::module('n', [D::lesson('k')], optional: true)]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'open']];
        yield 'inside an optional module its own lessons count' => [[D::module('m', [D::lesson('l'), D::lesson('k')], optional: true), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'locked: not_for_you']];
        yield 'a lesson for others alone does not count for it' => [[D::module('m', [D::lesson('l'), D::lesson('k', only: ['label' => 'x'])]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'open']];
        yield 'one that has run out does' => [[D::module('m', [D::lesson('l'), D::lesson('k', only: ['until' => '2026-03-01T09:00'])]), D::lesson('a', only: ['done' => 'm'])], [], self::holder(done: ['l']), ['a' => 'locked: not_for_you']];
        yield 'an optional lesson asked for by name is waited for' => [[D::lesson('l', optional: true), D::lesson('a', after: ['all' => ['l']])], [], $holder, ['a' => 'locked: progress']];
        yield 'in order what is optional holds nobody up' => [[D::lesson('l'), D::lesson('k', optional: true), D::lesson('a')], ['in_order' => true], self::holder(done: ['l']), ['k' => 'open', 'a' => 'open']];
        yield 'and waits itself for what comes before' => [[D::lesson('l'), D::lesson('k', optional: true), D::lesson('a')], ['in_order' => true], $holder, ['k' => 'locked: progress', 'a' => 'locked: progress']];
        yield 'a module of optional lessons is passed over' => [[D::module('m', [D::lesson('k', optional: true)]), D::lesson('a')], ['in_order' => true], $holder, ['a' => 'open']];
        yield 'a module without a lesson is never done' => [[D::module('m', [D::lesson('k', draft: true)]), D::lesson('a', only: ['done' => 'm'])], [], $holder, ['a' => 'locked: not_for_you']];

        // 4.3
        yield 'a draft course is hidden' => [$one, ['state' => 'draft'], $holder, ['a' => 'hidden: course_draft']];
        yield 'a retired course is kept for those who hold it' => [$one, ['state' => 'retired'], $holder, ['a' => 'open pass act']];
        yield 'unless it is not kept' => [$one, ['state' => 'retired', 'keep_after_retiring' => false], $holder, ['a' => 'locked: course_retired']];
        yield 'nor for those whose pass has ended' => [$one, ['state' => 'retired'], self::holder(until: self::NOW), ['a' => 'locked: course_retired']];
        yield 'nor for anyone' => [$one, ['state' => 'retired', 'entry' => 'anyone'], ['signed_in' => true], ['a' => 'locked: course_retired']];
        yield 'an observer keeps it by the learner\'s pass' => [$one, ['state' => 'retired', 'observer_door' => ['open' => true, 'default' => true]], ['observes' => $holder], ['a' => 'open observer look']];
        yield 'the season begins at its first instant' => [$one, ['opens' => '2026-03-10T13:00'], $holder, ['a' => 'open']];
        yield 'and not before' => [$one, ['opens' => '2026-03-10T13:01'], $holder, ['a' => 'locked: course_not_open']];
        yield 'it is over at its end' => [$one, ['closes' => '2026-03-10T13:00'], $holder, ['a' => 'locked: course_over']];
        yield 'and not before it' => [$one, ['closes' => '2026-03-10T13:01'], $holder, ['a' => 'open']];

        // 4.4, routes
        yield 'staff have every item open, drafts too' => [[D::lesson('a', draft: true, tiers: [])], ['state' => 'draft'], ['staff' => true], ['a' => 'open staff act']];
        yield 'a pass comes before a grant' => [$one, [], [...$holder, 'grants' => [['item' => 'a', 'from' => self::NOW]]], ['a' => 'open pass act']];
        yield 'a pass lets its holder work, signed in or not' => [$one, [], [...$holder, 'signed_in' => false], ['a' => 'open pass act']];
        yield 'a grant opens what is inside' => [[D::module('m', [D::lesson('a', items: [['key' => 'p', 'kind' => 'part']])])], [], self::granted('m'), ['m' => 'open grant act', 'p' => 'open grant act']];
        yield 'and not what is around' => [[D::module('m', [D::lesson('a'), D::lesson('b')])], [], self::granted('a'), ['m' => 'locked: no_pass', 'b' => 'locked: no_pass']];
        yield 'a grant overrides season, tier, only and progress' => [[D::lesson('z'), D::lesson('a', tiers: [], only: ['label' => 'x'], after: ['all' => ['z']])], ['closes' => '2026-01-01T00:00'], self::granted('a'), ['a' => 'open grant act']];
        yield 'and retirement' => [$one, ['state' => 'retired', 'keep_after_retiring' => false], self::granted('a'), ['a' => 'open grant act']];
        yield 'but not a draft' => [[D::lesson('a', draft: true)], [], self::granted('a'), ['a' => 'hidden: draft']];
        yield 'without an account a grant is to look at' => [$one, [], [...self::granted('a'), 'signed_in' => false], ['a' => 'open grant look']];
        yield 'a grant begins at its first instant' => [$one, [], self::granted('a', from: self::NOW), ['a' => 'open']];
        yield 'and is over at its until' => [$one, [], self::granted('a', until: self::NOW), ['a' => 'locked: no_pass']];
        yield 'open to anyone: members work' => [$one, ['entry' => 'anyone'], ['signed_in' => true], ['a' => 'open anyone act']];
        yield 'and visitors look' => [$one, ['entry' => 'anyone'], [], ['a' => 'open anyone look']];
        yield 'but not what has tiers, above it or empty' => [[D::module('m', [D::lesson('a')], tiers: [])], ['entry' => 'anyone'], ['signed_in' => true], ['a' => 'locked: tier']];
        yield 'a member is a member to a condition' => [$only(['kind' => 'member']), ['entry' => 'anyone'], ['signed_in' => true], ['a' => 'open']];
        yield 'and a visitor a visitor' => [$only(['kind' => 'visitor']), ['entry' => 'anyone'], [], ['a' => 'open']];

        // 4.4, samples
        yield 'a sample is to look at' => [[D::lesson('a', sample: true)], [], [], ['a' => 'open sample look']];
        yield 'what is inside is part of it' => [[D::module('m', [D::lesson('a', items: [['key' => 'p', 'kind' => 'part']])], sample: true)], [], [], ['a' => 'open', 'p' => 'open']];
        yield 'but no board, and nothing with tiers, a condition or never for somebody' => [[D::module('m', [D::board('b'), D::lesson('t', tiers: []), D::lesson('o', only: ['all' => []]), D::lesson('n', never_for: ['guests'])], sample: true)], [], [],
            ['b' => 'locked: not_signed_in', 't' => 'locked: not_signed_in', 'o' => 'locked: not_signed_in', 'n' => 'locked: not_signed_in']];
        yield 'unless it is marked itself' => [[D::module('m', [D::board('b', sample: true), D::lesson('t', tiers: [], sample: true)], sample: true)], [], [], ['b' => 'open', 't' => 'open']];
        yield 'below what is left out nothing is part of it' => [[D::module('m', [D::module('n', [D::lesson('a')], tiers: [])], sample: true)], [], [], ['a' => 'locked: not_signed_in']];
        yield 'a sample may need an account' => [[D::lesson('a', sample: true)], ['sample_needs_account' => true], [], ['a' => 'locked: sample_needs_account']];
        yield 'and have one' => [[D::lesson('a', sample: true)], ['sample_needs_account' => true], ['signed_in' => true], ['a' => 'open sample look']];
        yield 'what is around a sample is locked, though it hides' => [[D::module('m', [D::lesson('a', sample: true), D::lesson('b', when_closed: 'hide')], when_closed: 'hide')], [], [], ['m' => 'locked: not_signed_in', 'b' => 'hidden: not_signed_in']];

        // 4.4, observers
        $door = ['observer_door' => ['open' => true, 'default' => true]];
        $apart = ['observer_door' => ['open' => true, 'default' => true, 'follow' => false]];
        yield 'an observer sees what the learner may enter' => [$one, $door, ['observes' => $holder], ['a' => 'open observer look']];
        yield 'not by a shut door' => [$one, ['observer_door' => ['default' => true]], ['observes' => $holder], ['a' => 'locked: observers_shut']];
        yield 'not where they are not admitted' => [$one, ['observer_door' => ['open' => true]], ['observes' => $holder], ['a' => 'locked: observers_not_here']];
        yield 'not what the learner may not enter' => [$one, $door, ['observes' => ['signed_in' => true]], ['a' => 'locked: learner_cannot no_pass']];
        yield 'nor samples of the learner, who sees them by another route' => [[D::lesson('a', sample: true)], [...$door, 'sample_needs_account' => true], ['observes' => new \stdClass], ['a' => 'locked: learner_cannot']];
        yield 'the learner\'s grant counts' => [$one, $door, ['observes' => self::granted('a')], ['a' => 'open observer look']];
        yield 'but not past the observer\'s own season' => [$one, [...$door, 'closes' => '2026-01-01T00:00'], ['observes' => self::granted('a')], ['a' => 'locked: course_over']];
        yield 'a condition on learners shuts observers out' => [$only(['kind' => 'learner']), $door, ['observes' => $holder], ['a' => 'locked: not_for_you']];
        yield 'what waits for it waits for learners only' => [[D::lesson('z', only: ['kind' => 'observer']), D::lesson('a', after: ['all' => ['z']])], $door, ['observes' => $holder], ['a' => 'open observer look']];
        yield 'an observed learner counts as signed in' => [$only(['kind' => 'observer']), [...$door, 'entry' => 'anyone'], ['observes' => ['signed_in' => false]], ['a' => 'open observer look']];
        yield 'an observed guest is no guest to the observer' => [[D::lesson('a', guests: true)], [...$door, 'guest_door' => ['open' => true]], ['observes' => ['guest' => true]], ['a' => 'locked: learner_cannot']];
        yield 'an observer with a pass of their own works' => [$one, $door, [...$holder, 'observes' => new \stdClass], ['a' => 'open pass act']];
        yield 'without following, tiers bind' => [[D::lesson('a', tiers: [])], $apart, ['observes' => $holder], ['a' => 'locked: tier']];
        yield 'and the observer\'s own labels count' => [$only(['label' => 'x']), $apart, ['labels' => ['x'], 'observes' => new \stdClass], ['a' => 'open observer look']];
        yield 'not the learner\'s' => [$only(['label' => 'x']), $apart, ['observes' => self::holder(labels: ['x'])], ['a' => 'locked: not_for_you']];

        // 4.4, guests, admission and tiers
        $guests = ['guest_door' => ['open' => true, 'default' => true]];
        $guest = ['guest' => true];
        yield 'a guest looks' => [$one, $guests, $guest, ['a' => 'open guest look']];
        yield 'not by a shut door of the course' => [$one, ['guest_door' => ['default' => true]], $guest, ['a' => 'locked: guests_shut']];
        yield 'not where they are not admitted as guests' => [[D::lesson('a', guests: false)], $guests, $guest, ['a' => 'locked: guests_not_here']];
        yield 'the nearest that says something decides' => [[D::module('m', [D::module('n', [D::lesson('a')], guests: true)], guests: false)], $guests, $guest, ['a' => 'open', 'm' => 'locked: guests_not_here']];
        yield 'never is never, below it too' => [[D::module('m', [D::lesson('a', guests: true)], never_for: ['guests'])], $guests, $guest, ['a' => 'locked: guests_not_here']];
        yield 'never for observers does not bind guests' => [[D::lesson('a', never_for: ['observers'])], $guests, $guest, ['a' => 'open']];
        yield 'where the door decides no tier is allowed' => [[D::module('m', [D::lesson('a')], tiers: [])], $guests, $guest, ['a' => 'locked: tier']];
        yield 'whoever permits below a tier means it' => [[D::module('m', [D::lesson('a', guests: true)], tiers: [])], $guests, $guest, ['a' => 'open']];
        yield 'whoever permits at a tier means it' => [[D::lesson('a', guests: true, tiers: [])], $guests, $guest, ['a' => 'open']];
        yield 'a tier below the permission binds' => [[D::module('m', [D::lesson('a', tiers: [])], guests: true)], $guests, $guest, ['a' => 'locked: tier']];

        // 4.5
        $plan = static fn (array $entries): array => ['main_plan' => 'w', 'plans' => ['w' => $entries]];
        $relative = $plan(['m' => ['opens' => ['rule' => 'after_start', 'days' => 3]]]);
        yield 'relative openings bar guests' => [[D::module('m', [D::lesson('a')])], [...$guests, ...$relative], $guest, ['a' => 'locked: not_yet']];
        yield 'unless somebody said so below' => [[D::module('m', [D::lesson('a', guests: true)])], [...$guests, ...$relative], $guest, ['a' => 'open']];
        yield 'or at it' => [[D::module('m', [D::lesson('a')], guests: true)], [...$guests, ...$relative], $guest, ['a' => 'open']];
        yield 'not if it was said above' => [[D::module('k', [D::module('m', [D::lesson('a')])], guests: true)], [...$guests, ...$relative], $guest, ['a' => 'locked: not_yet']];
        yield 'anyone does not look at relative openings' => [[D::module('m', [D::lesson('a')])], ['entry' => 'anyone', ...$relative], [], ['a' => 'open']];
        yield 'dates bind anyone' => [$one, ['entry' => 'anyone', ...$plan(['a' => ['opens' => ['rule' => 'on', 'at' => '2026-03-10T13:01']]])], [], ['a' => 'locked: not_yet']];
        yield 'on the very minute it is open' => [$one, ['entry' => 'anyone', ...$plan(['a' => ['opens' => ['rule' => 'on', 'at' => '2026-03-10T13:00']]])], [], ['a' => 'open']];
        yield 'held, late and closed, each that applies' => [[D::module('m', [D::lesson('a')])], ['entry' => 'anyone', ...$plan(['m' => ['opens' => ['rule' => 'held']], 'a' => ['opens' => ['rule' => 'on', 'at' => '2027-01-01T00:00'], 'closes' => ['rule' => 'on', 'at' => '2026-03-10T13:00']]])], [], ['a' => 'locked: held not_yet closed']];
        yield 'without a main plan no date binds anyone' => [$one, ['entry' => 'anyone', 'plans' => ['w' => ['a' => ['opens' => ['rule' => 'held']]]]], [], ['a' => 'open']];

        // 4.6
        $offers = static fn (mixed ...$of): array => [['key' => 'o', 'course' => 'c', ...$of]];
        yield 'scope holds the item' => [[D::module('m', [D::lesson('a'), D::lesson('b')])], [], $holder, ['a' => 'open', 'b' => 'locked: not_in_pass'], $offers(scope: ['a'])];
        yield 'or what it stands in' => [[D::module('m', [D::lesson('a')])], [], $holder, ['a' => 'open'], $offers(scope: ['m'])];
        yield 'or something inside it' => [[D::module('m', [D::lesson('a')])], [], $holder, ['m' => 'open'], $offers(scope: ['a'])];
        yield 'an empty scope holds nothing' => [$one, [], $holder, ['a' => 'locked: not_in_pass'], $offers(scope: [])];
        yield 'a tier on the path binds' => [[D::module('m', [D::lesson('a')], tiers: ['gold'])], ['tiers' => ['gold']], $holder, ['a' => 'locked: tier']];
        yield 'all failing gates are told, in order' => [[D::lesson('z'), D::lesson('a', tiers: [], only: ['label' => 'x'], after: ['all' => ['z']])], ['plans' => ['w' => ['a' => ['opens' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]]], $holder, ['a' => 'locked: not_in_pass tier not_for_you not_yet progress'], $offers(scope: ['z'], plan: 'w')];

        // 4.7
        $paced = static fn (array $entries): array => ['plans' => ['w' => $entries]];
        $byPlan = $offers(plan: 'w');
        yield 'a child is not released before its parent' => [[D::module('m', [D::lesson('a')])], $paced(['m' => ['opens' => ['rule' => 'after_start', 'days' => 20]], 'a' => ['opens' => ['rule' => 'after_start', 'days' => 1]]]), $holder, ['a' => 'locked: not_yet'], $byPlan];
        yield 'paced from carries the pacing on' => [$one, $paced(['a' => ['opens' => ['rule' => 'after_start', 'days' => 20]]]), self::holder(pacedFrom: '2026-02-01T00:00:00Z'), ['a' => 'open'], $byPlan];
        yield 'pacing does not begin before the course' => [$one, [...$paced(['a' => ['opens' => ['rule' => 'after_start', 'days' => 3]]]), 'opens' => '2026-03-09T00:00'], $holder, ['a' => 'locked: not_yet'], $byPlan];
        yield 'at once is at the beginning' => [$one, $paced(['a' => ['opens' => ['rule' => 'at_once']]]), $holder, ['a' => 'open'], $byPlan];
        yield 'held is never' => [[D::module('m', [D::lesson('a')])], $paced(['m' => ['opens' => ['rule' => 'held']], 'a' => ['opens' => ['rule' => 'at_once']]]), $holder, ['a' => 'locked: held'], $byPlan];
        $after = ['opens' => ['rule' => 'after_previous', 'days' => 7]];
        yield 'the one before may stand in another module' => [[D::module('m', [D::lesson('z')]), D::module('n', [D::lesson('a')])], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'locked: not_yet'], $byPlan];
        yield 'at the same depth only' => [[D::lesson('z'), D::module('n', [D::lesson('a')])], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'a board is not the one before' => [[D::board('z'), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'nor is a draft' => [[D::lesson('z', draft: true), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'nor what is not covered' => [[D::lesson('z', tiers: []), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'nor what is for observers only' => [[D::lesson('z', only: ['kind' => 'observer']), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'but what somebody may still finish is' => [[D::lesson('z', only: ['not' => ['done' => 'y']]), D::lesson('y'), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'y' => ['opens' => ['rule' => 'held']], 'a' => $after]), self::holder(done: ['y']), ['a' => 'locked: not_yet'], $byPlan];
        yield 'nor what is held' => [[D::lesson('z'), D::lesson('a')], $paced(['z' => ['opens' => ['rule' => 'held']], 'a' => $after]), $holder, ['a' => 'open'], $byPlan];
        yield 'closing counts from the release' => [$one, $paced(['a' => ['closes' => ['rule' => 'after_open', 'days' => 9]]]), $holder, ['a' => 'locked: closed'], $byPlan];
        yield 'or from the beginning of the pass if that is later' => [$one, $paced(['a' => ['closes' => ['rule' => 'after_open', 'days' => 9]]]), self::holder(from: '2026-03-09T00:00:00Z', pacedFrom: '2026-01-01T00:00:00Z'), ['a' => 'open'], $byPlan];
        yield 'the earliest closing on the path counts' => [[D::module('m', [D::lesson('a')])], $paced(['m' => ['closes' => ['rule' => 'on', 'at' => '2026-03-10T13:00']], 'a' => ['closes' => ['rule' => 'on', 'at' => '2026-05-01T00:00']]]), $holder, ['a' => 'locked: closed'], $byPlan];
        yield 'a minute before it closes it is open' => [$one, $paced(['a' => ['closes' => ['rule' => 'on', 'at' => '2026-03-10T13:01']]]), $holder, ['a' => 'open'], $byPlan];

        // 4.8
        yield 'all of several' => [[D::lesson('x'), D::lesson('y'), D::lesson('a', after: ['all' => ['x', 'y']])], [], self::holder(done: ['x']), ['a' => 'locked: progress']];
        yield 'any of several' => [[D::lesson('x'), D::lesson('y'), D::lesson('a', after: ['any' => ['x', 'y']])], [], self::holder(done: ['y']), ['a' => 'open']];
        yield 'two of three' => [[D::lesson('x'), D::lesson('y'), D::lesson('z'), D::lesson('a', after: ['at_least' => 2, 'of' => ['x', 'y', 'z']])], [], self::holder(done: ['y']), ['a' => 'locked: progress']];
        yield 'but at most as many as are left' => [[D::lesson('x'), D::lesson('y', tiers: []), D::lesson('z', tiers: []), D::lesson('a', after: ['at_least' => 2, 'of' => ['x', 'y', 'z']])], [], self::holder(done: ['x']), ['a' => 'open']];
        yield 'where none is left it is met' => [[D::lesson('y', tiers: []), D::lesson('a', after: ['any' => ['y']])], [], $holder, ['a' => 'open']];
        yield 'a module without a lesson that counts is met' => [[D::module('m', [D::lesson('y', tiers: [])]), D::lesson('a', after: ['all' => ['m']])], [], $holder, ['a' => 'open']];
        yield 'a module is complete when its lessons are' => [[D::module('m', [D::lesson('x'), D::lesson('y')]), D::lesson('a', after: ['all' => ['m']])], [], self::holder(done: ['x']), ['a' => 'locked: progress']];
        yield 'in order, one after the other' => [[D::module('m', [D::lesson('x'), D::lesson('y'), D::lesson('a')], in_order: true)], [], self::holder(done: ['x']), ['y' => 'open', 'a' => 'locked: progress']];
        yield 'in order, past what does not count' => [[D::module('m', [D::lesson('x'), D::lesson('y', tiers: []), D::module('n', []), D::lesson('a')], in_order: true)], [], self::holder(done: ['x']), ['a' => 'open']];
        yield 'boards do not wait their turn' => [[D::module('m', [D::lesson('x'), D::board('a')], in_order: true)], [], $holder, ['a' => 'open']];
        yield 'nor does anything wait for a board' => [[D::module('m', [D::board('x'), D::lesson('a')], in_order: true)], [], $holder, ['a' => 'open']];
        yield 'top items in order' => [[D::module('m', [D::lesson('x')]), D::module('n', [D::lesson('a')])], ['in_order' => true], $holder, ['n' => 'locked: progress', 'a' => 'locked: progress']];
        yield 'what is finished stays open' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], [], self::holder(done: ['a']), ['a' => 'open']];
        yield 'and what is inside what is finished' => [[D::lesson('x'), D::lesson('b', after: ['all' => ['x']], items: [['key' => 'p', 'kind' => 'part']])], [], self::holder(done: ['b']), ['p' => 'open']];
        yield 'what is done later than now is not done' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], [], [...$holder, 'done' => [['item' => 'x', 'at' => '2026-03-10T12:00:01Z']]], ['a' => 'locked: progress']];
        yield 'what is done now is' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], [], [...$holder, 'done' => [['item' => 'x', 'at' => self::NOW]]], ['a' => 'open']];
        yield 'an empty module inside a shut one is not complete' => [[D::lesson('x'), D::module('m', [], after: ['all' => ['x']])], [], $holder, ['m' => 'locked: progress']];
        yield 'two that wait for each other are not stuck: each could be done' => [[D::lesson('a', after: ['all' => ['b']]), D::lesson('b', after: ['all' => ['a']])], [], $holder, ['a' => 'locked: progress', 'b' => 'locked: progress']];
        yield 'what waits for what never opens is stuck' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], $paced(['x' => ['opens' => ['rule' => 'held']]]), $holder, ['a' => 'locked: stuck'], $byPlan];
        yield 'not if a grant may still open it' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], $paced(['x' => ['opens' => ['rule' => 'held']]]), [...$holder, 'grants' => [['item' => 'x', 'from' => '2026-09-01T00:00:00Z']]], ['a' => 'locked: progress'], $byPlan];
        yield 'a grant that is over does not' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], $paced(['x' => ['opens' => ['rule' => 'held']]]), [...$holder, 'grants' => [['item' => 'x', 'from' => '2026-01-01T00:00:00Z', 'until' => self::NOW]]], ['a' => 'locked: stuck'], $byPlan];
        yield 'what waits for what has closed is stuck' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], $paced(['x' => ['closes' => ['rule' => 'on', 'at' => '2026-03-10T13:00']]]), $holder, ['a' => 'locked: stuck'], $byPlan];
        yield 'what waits for what closes as it opens is stuck' => [[D::lesson('x'), D::lesson('a', after: ['all' => ['x']])], $paced(['x' => ['opens' => ['rule' => 'on', 'at' => '2026-04-01T00:00'], 'closes' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]), $holder, ['a' => 'locked: stuck'], $byPlan];

        // 4.9
        yield 'what hides when closed' => [[D::lesson('a', when_closed: 'hide')], [], [], ['a' => 'hidden: not_signed_in']];
        yield 'hides what is inside' => [[D::module('m', [D::lesson('a')], when_closed: 'hide')], [], [], ['a' => 'hidden']];
        yield 'a draft hides' => [[D::lesson('a', draft: true)], [], $holder, ['a' => 'hidden: draft']];
        yield 'inside an open item nothing is hidden by it' => [[D::module('m', [D::lesson('a', tiers: [])], when_closed: 'hide')], [], $holder, ['a' => 'locked: tier']];

        // 4.10
        $two = [['key' => 'o', 'course' => 'c', 'plan' => 'w'], ['key' => 'p', 'course' => 'c', 'scope' => ['z']]];
        $both = ['signed_in' => true, 'passes' => [['offer' => 'p', 'from' => '2026-03-01T00:00:00Z'], ['offer' => 'o', 'from' => '2026-03-01T00:00:00Z']]];
        yield 'the nearest pass only waits for its date' => [[D::lesson('z'), D::lesson('a')], $paced(['a' => ['opens' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]), $both, ['a' => 'locked: not_yet'], $two];
        yield 'else it has the fewest failing gates' => [[D::lesson('z'), D::lesson('a', only: ['offer' => 'o'])], $paced(['a' => ['opens' => ['rule' => 'held']]]), $both, ['a' => 'locked: held'], $two];
        yield 'an active pass tells before a door does' => [[D::lesson('a', tiers: [])], $guests, [...$holder, 'guest' => true], ['a' => 'locked: tier']];
        yield 'a lapsed pass tells before a door does' => [[D::lesson('a', guests: false)], $guests, [...self::holder(until: self::NOW), 'guest' => true], ['a' => 'locked: pass_ended']];
        yield 'somebody known without a pass' => [$one, [], ['signed_in' => true], ['a' => 'locked: no_pass']];
        yield 'somebody not known' => [$one, [], [], ['a' => 'locked: not_signed_in']];
    }

    /**
     * @param  list<string>  $labels
     * @param  list<string>  $done
     * @return array<string, mixed>
     */
    private static function holder(string $from = '2026-03-01T08:00:00Z', ?string $until = null, string $state = 'active', ?string $pacedFrom = null, array $labels = [], array $done = []): array
    {
        return [
            'signed_in' => true, 'labels' => $labels,
            'passes' => [['offer' => 'o', 'from' => $from, 'until' => $until, 'state' => $state, 'paced_from' => $pacedFrom]],
            'done' => array_map(static fn (string $item): array => ['item' => $item, 'at' => '2026-03-02T08:00:00Z'], $done),
        ];
    }

    /** @return array<string, mixed> */
    private static function granted(string $item, string $from = '2026-03-01T08:00:00Z', ?string $until = null): array
    {
        return ['signed_in' => true, 'grants' => [['item' => $item, 'from' => $from, 'until' => $until]]];
    }
}

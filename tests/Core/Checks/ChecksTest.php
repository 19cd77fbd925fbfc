<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Circumstances;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Checks\TouchedPeople;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Core\Documents as D;

/** Each check with rules that have the fault, and with rules that nearly have it. */
final class ChecksTest extends TestCase
{
    public const NOW = '2026-03-10T12:00:00Z';

    /**
     * @param  array{items: list<array<string, mixed>>, course?: array<string, mixed>, offers?: list<array<string, mixed>>, school?: array<string, mixed>, knows?: array<string, mixed>}  $faulty
     * @param  array{items: list<array<string, mixed>>, course?: array<string, mixed>, offers?: list<array<string, mixed>>, school?: array<string, mixed>, knows?: array<string, mixed>}  $nearly
     * @param  list<string>  $items
     * @param  list<string>  $about
     */
    #[DataProvider('ways')]
    #[DataProvider('selling')]
    #[DataProvider('doors')]
    public function test_the_fault_is_found_and_what_nearly_has_it_is_not(CheckKind $kind, array $faulty, array $nearly, array $items, array $about = []): void
    {
        $found = self::found($kind, $faulty);

        self::assertCount(1, $found, "{$kind->value} is not found once");
        self::assertSame([$items, $about], [$found[0]->items, $found[0]->about]);
        self::assertSame([], self::found($kind, $nearly), "{$kind->value} is found where it is not");
    }

    public function test_every_kind_but_those_of_drafts_is_in_the_tables(): void
    {
        $kinds = [];
        foreach ([...self::ways(), ...self::selling(), ...self::doors()] as [$kind]) {
            $kinds[] = $kind->value;
        }

        self::assertSame([], array_values(array_diff(array_map(static fn (CheckKind $kind): string => $kind->value, CheckKind::cases()), $kinds, [CheckKind::NewLessonLocks->value])));
    }

    /** @return \Generator<string, array{CheckKind, array<string, mixed>, array<string, mixed>, list<string>, list<string>}> */
    public static function ways(): \Generator
    {
        $two = static fn (array $a, array $b): array => ['items' => [D::lesson('first'), D::lesson('a', ...$a), D::lesson('b', ...$b)]];
        $after = static fn (string ...$keys): array => ['after' => ['all' => $keys]];
        $planned = static fn (array $entries, array $offer = [], array $course = []): array => [
            'items' => [D::lesson('first'), D::lesson('a'), D::lesson('b', ...$after('a'))], 'course' => ['plans' => ['w' => self::entries($entries)], ...$course], 'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'w', ...$offer]],
        ];
        yield 'two wait for each other' => [CheckKind::WaitsInCircle, $two($after('b'), $after('a')), $two($after('b'), []), ['a', 'b'], []];
        $modules = static fn (array $inner): array => ['items' => [D::lesson('first'), D::module('m', [D::lesson('x', ...$after('n'))]), D::module('n', [D::lesson('y', ...$inner)])]];
        yield 'a module waits for what waits for it' => [CheckKind::WaitsInCircle, $modules($after('m')), $modules(['optional' => true]), ['x', 'y'], []];
        yield 'it waits for what was missed' => [
            CheckKind::WaitsForever, $planned(['a' => ['closes' => ['rule' => 'on', 'at' => '2026-03-01T00:00']]]), $planned(['a' => ['closes' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]), ['b'], ['a'],
        ];
        $inside = static fn (string $closes): array => ['items' => [D::lesson('first'), D::lesson('a'), D::module('m', [D::lesson('x'), D::lesson('y')], after: ['all' => ['a']])], 'course' => ['plans' => ['w' => ['a' => ['closes' => ['rule' => 'on', 'at' => $closes]]]]], 'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'w']]];
        yield 'a module waits, and all in it by that' => [CheckKind::WaitsForever, $inside('2026-03-01T00:00'), $inside('2026-04-01T00:00'), ['m'], ['a']];
        yield 'it waits for what is handed out' => [CheckKind::WaitsForever, $planned(['a' => ['opens' => ['rule' => 'held']]]), $planned(['b' => ['opens' => ['rule' => 'held']]]), ['b'], ['a']];
        yield 'it comes when the pass has ended' => [CheckKind::OpensAfterPass, $planned(['a' => ['opens' => ['rule' => 'after_start', 'days' => 30]]], ['lasts' => ['days' => 30]]), $planned(['a' => ['opens' => ['rule' => 'after_start', 'days' => 29]]], ['lasts' => ['days' => 30]]), ['a'], []];
        $season = ['closes' => '2026-04-01T00:00'];
        yield 'it comes when the season has ended' => [CheckKind::OpensAfterSeason, $planned(['a' => ['opens' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]], course: $season), $planned(['a' => ['opens' => ['rule' => 'on', 'at' => '2026-03-31T23:59']]], course: $season), ['a'], []];
        yield 'it closes before it opens' => [
            CheckKind::ClosesBeforeOpening, $planned(['a' => ['opens' => ['rule' => 'after_start', 'days' => 30], 'closes' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]),
            $planned(['a' => ['opens' => ['rule' => 'after_start', 'days' => 20], 'closes' => ['rule' => 'on', 'at' => '2026-04-01T00:00']]]), ['a'], [],
        ];
        yield 'newcomers are too late for it' => [CheckKind::ClosedToNewcomers, $planned(['b' => ['closes' => ['rule' => 'on', 'at' => '2026-03-10T13:00']]]), $planned(['b' => ['closes' => ['rule' => 'on', 'at' => '2026-03-10T13:01']]]), ['b'], []];
        $done = static fn (string $key): array => ['items' => [D::lesson('first'), D::lesson('bonus', only: ['label' => 'x']), D::lesson('a', only: ['done' => $key])]];
        yield 'it asks for what only others can finish' => [CheckKind::ConditionNeverHolds, $done('bonus'), $done('first'), ['a'], ['bonus']];
        yield 'it was for an earlier time' => [CheckKind::ConditionNeverHolds, $two(['only' => ['until' => '2026-03-01T00:00']], []), $two(['only' => ['until' => '2026-04-01T00:00']], []), ['a'], []];
        yield 'the first day is empty' => [CheckKind::FirstDayClosed, $planned(['first' => ['opens' => ['rule' => 'after_start', 'days' => 1]]]), $planned(['first' => ['opens' => ['rule' => 'on', 'at' => '2026-03-16T09:00']]]), ['first'], []];
        yield 'the welcome is for some' => [CheckKind::WelcomeForFew, ['items' => [D::lesson('w', only: ['label' => 'x']), D::lesson('a')]], ['items' => [D::lesson('w', only: ['not' => ['label' => 'x']]), D::lesson('a')]], ['w'], []];
        $bonus = static fn (array $more): array => ['items' => [D::module('m', [D::lesson('a'), D::lesson('bonus', ...['only' => ['label' => 'x'], ...$more]), D::lesson('b')], in_order: true)]];
        yield 'a bonus holds up in order' => [CheckKind::HoldsUpHolders, $bonus([]), $bonus(['optional' => true]), ['b', 'bonus'], ['x']];
        $inside = static fn (array $more): array => ['items' => [D::module('m', [D::lesson('a'), D::lesson('bonus', ...['only' => ['label' => 'x'], ...$more])]), D::lesson('b', ...$after('m'))]];
        yield 'a bonus holds up its module' => [CheckKind::HoldsUpHolders, $inside([]), $inside(['optional' => true]), ['b', 'bonus'], ['x']];
        $tier = static fn (string $tier): array => ['items' => [D::lesson('a', tiers: [$tier]), D::lesson('b', ...$after('a'))], 'course' => ['tiers' => ['one', 'two']], 'offers' => [['key' => 'o', 'course' => 'c', 'tier' => 'one']]];
        yield 'what comes first is for nobody who waits' => [CheckKind::WaitsForNothing, $tier('two'), $tier('one'), ['b'], ['a']];
        yield 'all of what comes first is optional' => [
            CheckKind::WaitsForNothing, ['items' => [D::module('m', [D::lesson('a', optional: true)]), D::lesson('b', ...$after('m'))]], ['items' => [D::lesson('a', optional: true), D::lesson('b', ...$after('a'))]], ['b'], ['m'],
        ];
        $draft = static fn (string $at): array => [...$planned(['a' => ['opens' => ['rule' => 'on', 'at' => $at]]]), 'course' => ['state' => 'draft', 'plans' => ['w' => self::entries(['a' => ['opens' => ['rule' => 'on', 'at' => $at]]])]]];
        yield 'a day that is gone' => [CheckKind::DatePast, $draft('2025-03-20T09:00'), $draft('2026-03-20T09:00'), ['a'], ['w']];
    }

    /** @return \Generator<string, array{CheckKind, array<string, mixed>, array<string, mixed>, list<string>, list<string>}> */
    public static function selling(): \Generator
    {
        $items = [D::lesson('a'), D::lesson('b', tiers: ['gold'])];
        $course = ['tiers' => ['gold'], 'plans' => ['w' => self::entries(['b' => ['opens' => ['rule' => 'after_start', 'days' => 7]]]), 'v' => self::entries(['b' => ['opens' => ['rule' => 'after_start', 'days' => 7]]])]];
        $offers = static fn (array ...$offers): array => array_map(static fn (array $offer, int $nth): array => ['key' => "o{$nth}", 'course' => 'c', ...$offer], array_values($offers), range(0, count($offers) - 1));
        $with = static fn (array $offers, array $more = [], array $knows = []): array => ['items' => $items, 'course' => [...$course, ...$more], 'offers' => $offers, 'knows' => $knows];
        yield 'two by plans that say the same' => [CheckKind::OffersAlike, $with($offers(['tier' => 'gold', 'plan' => 'w'], ['tier' => 'gold', 'plan' => 'v'])), $with($offers(['tier' => 'gold', 'plan' => 'w'], ['tier' => 'gold'])), [], []];
        $closing = ['items' => $items, 'course' => ['tiers' => ['gold'], 'plans' => ['w' => ['b' => ['closes' => ['rule' => 'on', 'at' => '2026-03-30T00:00']]]]], 'offers' => $offers(['tier' => 'gold', 'plan' => 'w'], ['tier' => 'gold'])];
        yield 'the same for now alone is not the same' => [CheckKind::OffersAlike, $with($offers(['tier' => 'gold'], ['tier' => 'gold'])), $closing, [], []];
        yield 'for a tier that opens nothing more' => [CheckKind::OffersAlike, ['items' => [D::lesson('a')], 'course' => ['tiers' => ['gold']], 'offers' => $offers([], ['tier' => 'gold'])], $with($offers([], ['tier' => 'gold'])), [], []];
        yield 'it opens nothing' => [CheckKind::OfferOpensNothing, ['items' => [D::lesson('b', tiers: ['gold'])], 'course' => ['tiers' => ['gold']]], ['items' => [D::lesson('a'), D::lesson('b', tiers: ['gold'])], 'course' => ['tiers' => ['gold']]], [], []];
        yield 'it opens what is open anyway' => [CheckKind::OfferOpensNothing, ['items' => [D::lesson('a')], 'course' => ['entry' => 'anyone']], ['items' => $items, 'course' => ['entry' => 'anyone', 'tiers' => ['gold']], 'offers' => $offers(['tier' => 'gold'])], [], []];
        yield 'a pass would be over' => [CheckKind::OfferOver, $with($offers(['lasts' => ['until' => '2026-03-10T13:00']])), $with($offers(['lasts' => ['until' => '2026-03-10T13:01']])), [], []];
        yield 'no offer' => [CheckKind::NoWayIn, ['items' => $items, 'course' => ['tiers' => ['gold']], 'offers' => []], ['items' => $items, 'course' => ['tiers' => ['gold'], 'entry' => 'anyone'], 'offers' => []], [], []];
        yield 'none can be taken' => [CheckKind::NothingSold, $with($offers([]), knows: ['sold' => []]), $with($offers([], ['tier' => 'gold']), knows: ['sold' => ['o1' => 100]]), [], []];
        yield 'by invitation and for sale' => [CheckKind::SoldByInvitation, $with($offers([]), ['entry' => 'invite'], ['sold' => ['o0' => 100]]), $with($offers([]), ['entry' => 'invite'], ['sold' => []]), [], []];
        yield 'open and for sale' => [CheckKind::SoldThoughOpen, $with($offers(['tier' => 'gold']), ['entry' => 'anyone'], ['sold' => ['o0' => 100]]), $with($offers(['tier' => 'gold']), ['entry' => 'anyone'], ['sold' => ['o0' => 0]]), [], []];
        yield 'free beside what costs' => [CheckKind::FreeBesidePriced, $with($offers(['tier' => 'gold'], []), [], ['sold' => ['o0' => 100, 'o1' => 0]]), $with($offers(['tier' => 'gold'], []), [], ['sold' => ['o0' => 100, 'o1' => 0], 'trials' => ['o1']]), [], []];
        yield 'a tier of no offer' => [CheckKind::TierNotGiven, $with($offers([])), $with($offers([], ['tier' => 'gold'])), ['b'], ['gold']];
        $label = static fn (array $only, ?array $known): array => ['items' => [D::lesson('a'), D::lesson('b', only: $only)], 'knows' => ['labels' => $known]];
        yield 'a label of nobody' => [CheckKind::LabelNotGiven, $label(['label' => 'x'], ['y']), $label(['not' => ['label' => 'x']], ['y']), ['b'], ['x']];
        yield 'a label that an offer gives' => [CheckKind::LabelNotGiven, $label(['any' => [['label' => 'x'], ['label' => 'y']]], ['y']), [...$label(['label' => 'x'], []), 'offers' => $offers(['labels' => ['x']])], ['b'], ['x']];
        yield 'a plan of no offer' => [CheckKind::PlanUnused, $with($offers(['plan' => 'w'], ['tier' => 'gold', 'plan' => 'w'])), $with($offers(['plan' => 'w']), ['main_plan' => 'v']), [], ['v']];
        $trial = static fn (array $trial, array $entries, bool $sample = false): array => [
            'items' => [D::lesson('a', sample: $sample), D::lesson('b')], 'course' => ['plans' => ['w' => self::entries($entries)]],
            'offers' => [['key' => 'paid', 'course' => 'c', 'plan' => 'w'], ['key' => 't', 'course' => 'c', 'lasts' => ['days' => 10], ...$trial]], 'knows' => ['trials' => ['t']],
        ];
        $week = ['b' => ['opens' => ['rule' => 'after_start', 'days' => 14]]];
        yield 'a trial of what is shown anyway' => [CheckKind::TrialShort, $trial(['plan' => 'w'], $week, true), $trial(['plan' => 'w', 'lasts' => ['days' => 15]], $week, true), [], []];
        yield 'a trial is ahead' => [CheckKind::TrialSooner, $trial([], $week), $trial(['plan' => 'w'], $week), ['b'], []];
    }

    /** @return \Generator<string, array{CheckKind, array<string, mixed>, array<string, mixed>, list<string>, list<string>}> */
    public static function doors(): \Generator
    {
        $lessons = static fn (array ...$more): array => array_map(static fn (array $one, int $nth): array => D::lesson("l{$nth}", ...$one), array_values($more), range(0, count($more) - 1));
        yield 'a sample of what is open to anyone' => [CheckKind::SampleNoEffect, ['items' => $lessons(['sample' => true], []), 'course' => ['entry' => 'anyone']], ['items' => $lessons(['sample' => true], []), 'course' => ['entry' => 'anyone', 'plans' => ['w' => self::entries(['l0' => ['opens' => ['rule' => 'held']]])], 'main_plan' => 'w']], ['l0'], []];
        yield 'a sample in a sample' => [CheckKind::SampleNoEffect, ['items' => [D::module('m', [D::lesson('a', sample: true)], sample: true), ...$lessons([], [], [], [])]], ['items' => [D::module('m', [D::lesson('a', sample: true, never_for: ['guests'])], sample: true), ...$lessons([], [], [], [])]], ['a'], []];
        $only = static fn (string $kind, bool $account): array => ['items' => $lessons(['sample' => true, 'only' => ['kind' => $kind]], [], [], []), 'course' => ['sample_needs_account' => $account]];
        yield 'a sample for strangers who must sign in' => [CheckKind::SampleForNobody, $only('visitor', true), $only('visitor', false), ['l0'], []];
        yield 'a sample for learners' => [CheckKind::SampleForNobody, $only('learner', false), $only('member', true), ['l0'], []];
        $four = static fn (int $samples, array $minutes = []): array => ['items' => $lessons(...array_map(static fn (int $nth): array => ['sample' => $nth < $samples], range(0, 6))), 'knows' => ['minutes' => $minutes]];
        yield 'samples of half' => [CheckKind::SamplesGiveMuch, $four(3), $four(2), ['l0', 'l1', 'l2'], []];
        yield 'samples of the long ones' => [CheckKind::SamplesGiveMuch, $four(2, ['l0' => 50, 'l3' => 60]), $four(2, ['l0' => 25, 'l3' => 60]), ['l0', 'l1'], []];
        yield 'one lesson is a taste, however few there are' => [CheckKind::SamplesGiveMuch, $four(4), ['items' => $lessons(['sample' => true], [])], ['l0', 'l1', 'l2', 'l3'], []];
        $door = static fn (string $door, array $settings, array $item = [], array $school = [], array $more = []): array => ['items' => $lessons([], $item), 'course' => [$door => $settings, ...$more], 'school' => $school];
        yield 'guests are shown nothing' => [CheckKind::DoorLeadsNowhere, $door('guest_door', ['open' => true, 'default' => false]), $door('guest_door', ['open' => true, 'default' => false], ['guests' => true]), [], ['guests']];
        yield 'the school lets no guests in' => [CheckKind::DoorLeadsNowhere, $door('guest_door', ['open' => true, 'default' => true], school: ['guests' => false]), $door('guest_door', ['open' => true, 'default' => true]), [], ['guests']];
        yield 'observers are shown nothing' => [CheckKind::DoorLeadsNowhere, $door('observer_door', ['open' => true, 'default' => false]), $door('observer_door', ['open' => true, 'default' => false], ['observers' => true]), [], ['observers']];
        yield 'a permission for guests' => [CheckKind::PermissionBehindShutDoor, $door('guest_door', ['open' => false, 'default' => false], ['guests' => true]), $door('guest_door', ['open' => false, 'default' => true], ['guests' => false]), ['l1'], ['guests']];
        yield 'a permission for observers' => [CheckKind::PermissionBehindShutDoor, $door('observer_door', ['open' => false, 'default' => false], ['observers' => true]), $door('observer_door', ['open' => true, 'default' => false], ['observers' => true]), ['l1'], ['observers']];
        $paced = static fn (array $more, array $item = []): array => ['items' => $lessons([], $item), 'course' => ['plans' => ['w' => self::entries(['l1' => ['opens' => ['rule' => 'after_start', 'days' => 7]]])], 'main_plan' => 'w', ...$more], 'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'w']]];
        yield 'guests are ahead' => [CheckKind::OvertakesLearners, $paced(['guest_door' => ['open' => true, 'default' => false]], ['guests' => true]), $paced(['guest_door' => ['open' => true, 'default' => true]]), ['l1'], ['guests']];
        yield 'observers are ahead' => [CheckKind::OvertakesLearners, $paced(['observer_door' => ['open' => true, 'default' => false, 'follow' => false]], ['observers' => true]), $paced(['observer_door' => ['open' => true, 'default' => false]], ['observers' => true]), ['l1'], ['observers']];
        yield 'guests are bound by no plan' => [CheckKind::NoMainPlan, $paced(['guest_door' => ['open' => true, 'default' => true], 'main_plan' => null]), $paced(['guest_door' => ['open' => true, 'default' => true], 'main_plan' => null], ['guests' => false]), [], ['guests']];
        yield 'anyone is bound by no plan' => [CheckKind::NoMainPlan, $paced(['entry' => 'anyone', 'main_plan' => null]), $paced(['entry' => 'anyone']), [], ['anyone']];
    }

    /**
     * @param  array{items: list<array<string, mixed>>, course?: array<string, mixed>, offers?: list<array<string, mixed>>, school?: array<string, mixed>, knows?: array<string, mixed>}  $rules
     * @return list<Finding>
     */
    private static function found(CheckKind $kind, array $rules): array
    {
        return array_values(array_filter(Checks::findings(self::survey($rules)), static fn (Finding $finding): bool => $finding->kind === $kind));
    }

    /** @param  array{items: list<array<string, mixed>>, course?: array<string, mixed>, offers?: list<array<string, mixed>>, school?: array<string, mixed>, knows?: array<string, mixed>}  $rules */
    private static function survey(array $rules): Survey
    {
        $plan = D::plan($rules['items'], $rules['course'] ?? [], $rules['offers'] ?? [['key' => 'o', 'course' => 'c']], $rules['school'] ?? []);

        return new Survey($plan, $plan->courses['c'], new Circumstances(Instant::parse(self::NOW), ...$rules['knows'] ?? []));
    }

    /** @param  array<string, mixed>  $entries */
    private static function entries(array $entries): mixed
    {
        return $entries === [] ? new \stdClass : $entries;
    }

    public function test_a_new_lesson_locks_those_who_are_further_on(): void
    {
        $rules = static fn (array ...$new): array => ['items' => [D::module('m', [D::lesson('a'), ...array_values($new), D::lesson('b'), D::lesson('d')], in_order: true)]];
        $live = D::plan($rules()['items'])->courses['c'];
        $found = static fn (array ...$new): array => self::found(CheckKind::NewLessonLocks, [...$rules(...$new), 'knows' => ['live' => $live]]);

        self::assertSame([[['n'], ['b']]], array_map(static fn (Finding $finding): array => [$finding->items, $finding->about], $found(D::lesson('n'))));
        self::assertSame([], $found(D::lesson('n', optional: true)));
        self::assertSame([], $found(D::lesson('n', draft: true)));
        self::assertSame([], $found());
    }

    public function test_those_who_are_touched_are_counted(): void
    {
        $rules = ['items' => [D::lesson('first'), D::module('m', [D::lesson('bonus', only: ['label' => 'x']), D::lesson('b')], in_order: true), D::lesson('late')],
            'course' => ['plans' => ['w' => ['m' => ['opens' => ['rule' => 'after_start', 'days' => 3]], 'late' => ['opens' => ['rule' => 'after_start', 'days' => 30]]]]],
            'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'w', 'lasts' => ['days' => 10]], ['key' => 'p', 'course' => 'c']]];
        $survey = self::survey($rules);
        $findings = Checks::findings($survey);
        $touched = new TouchedPeople($survey, $findings);
        $now = Instant::parse(self::NOW);
        $holder = static fn (string $offer, array $labels = [], array $done = [], int $until = Instant::NEVER): Viewer => new Viewer(signedIn: true, labels: D::strings($labels), passes: [new Pass($offer, $now - 86400, $until)], done: array_fill_keys($done, $now - 3600));
        foreach ([
            $holder('o', until: $now + 86400), $holder('o', until: $now + 40 * 86400), $holder('o', until: $now - 1), $holder('p'), new Viewer(signedIn: true),
            $holder('p', ['x']), $holder('p', ['x'], ['bonus']), $holder('p', ['x'], ['first']), $holder('o', ['x'], until: $now + 40 * 86400),
        ] as $viewer) {
            $touched->look($viewer);
        }
        $counts = [];
        foreach ($touched->counts() as $at => $count) {
            $counts[$findings[$at]->kind->value] = $count;
        }

        // Of those with a pass of "o", two have it long enough; of those with the label, one has done the bonus, and one may not go there yet.
        self::assertSame(['opens_after_pass' => 1, 'holds_up_holders' => 2], $counts);
    }

    public function test_the_cause_is_the_rules_and_not_the_day(): void
    {
        $rules = static fn (int $days): array => ['items' => [D::lesson('first', title: "Anything {$days}"), D::lesson('a')], 'course' => ['plans' => ['w' => ['a' => ['opens' => ['rule' => 'after_start', 'days' => $days]]]]], 'offers' => [['key' => 'o', 'course' => 'c', 'plan' => 'w', 'lasts' => ['days' => 10]]]];
        $cause = static fn (int $days, string $at = self::NOW): string => Checks::findings(new Survey($plan = D::plan(...array_slice($rules($days), 0, 3)), $plan->courses['c'], new Circumstances(Instant::parse($at))))[0]->cause;

        self::assertSame($cause(30), $cause(30, '2026-04-10T12:00:00Z'));
        self::assertNotSame($cause(30), $cause(31));
    }

    public function test_nothing_is_looked_for_in_what_is_retired(): void
    {
        self::assertSame([], Checks::findings(self::survey(['items' => [D::lesson('a', after: ['all' => ['b']]), D::lesson('b', after: ['all' => ['a']])], 'course' => ['state' => 'retired']])));
    }
}

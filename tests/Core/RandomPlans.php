<?php

declare(strict_types=1);

namespace Tests\Core;

use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;

/** Seeded plans and viewers that favour odd combinations over sensible ones. */
final class RandomPlans
{
    private const ZONES = ['Europe/Oslo', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata', 'Pacific/Auckland'];

    private int $keys = 0;

    /** @var list<string> */
    private array $lessons = [];

    /** @var list<string> every item so far */
    private array $items = [];

    private function __construct(private readonly bool $conditionsOnDone)
    {
    }

    /** @param  bool  $conditionsOnDone  whether conditions may ask what is done */
    public static function document(int $seed, bool $conditionsOnDone = true): \stdClass
    {
        mt_srand($seed);

        return (new self($conditionsOnDone))->make();
    }

    public static function plan(int $seed, bool $conditionsOnDone = true): Plan
    {
        return PlanReader::fromDecoded(self::document($seed, $conditionsOnDone));
    }

    /** An instant around which the plans' dates lie. */
    public static function instant(): int
    {
        return Instant::parse('2026-03-20T00:00:00Z') + mt_rand(-60 * 24, 60 * 24) * 3600 + mt_rand(0, 3599);
    }

    public static function viewer(Plan $plan, bool $mayObserve = true): Viewer
    {
        $keys = array_map(static fn ($item): string => $item->key, $plan->courses['c']->outline->items);
        $passes = $grants = $done = [];
        for ($n = self::pick([0, 0, 1, 1, 1, 2, 3]); $n > 0; $n--) {
            $passes[] = self::pass();
        }
        for ($n = self::pick([0, 0, 0, 1, 2]); $n > 0; $n--) {
            $from = self::instant();
            $grants[] = new Grant(self::pick($keys), $from, self::chance(50) ? Instant::NEVER : $from + mt_rand(-5, 40) * 86400);
        }
        foreach ($keys as $key) {
            if (self::chance(25)) {
                $done[$key] = self::instant();
            }
        }

        return new Viewer(
            staff: self::chance(2),
            signedIn: self::chance(75),
            guest: self::chance(25),
            labels: array_values(array_filter(['red', 'gold'], static fn (): bool => self::chance(25))),
            passes: $passes,
            grants: $grants,
            done: $done,
            observes: $mayObserve && self::chance(20) ? self::viewer($plan, false) : null,
            timedLabels: self::chance(40) ? [self::timedLabel(), self::timedLabel()] : [],
        );
    }

    private static function timedLabel(): TimedLabel
    {
        $from = self::instant();

        return new TimedLabel(self::pick(['red', 'gold', '7', 'elsewhere']), $from, self::chance(30) ? Instant::NEVER : $from + mt_rand(-5, 60) * 86400);
    }

    public static function pass(): Pass
    {
        $from = self::instant();

        return new Pass(
            self::pick(['o0', 'o1', 'o2', 'o2', 'd']), $from,
            self::chance(50) ? Instant::NEVER : $from + mt_rand(-2, 80) * 86400,
            self::chance(85) ? PassState::Active : self::pick(PassState::cases()),
            self::chance(15) ? $from - mt_rand(-10, 60) * 86400 : null,
        );
    }

    private function make(): \stdClass
    {
        $items = $this->items([3, 6], 0, ['module', 'module', 'lesson', 'board']);
        $plans = ['w' => $this->releasePlan(), 'v' => $this->releasePlan()];
        $opens = self::chance(15) ? self::local() : null;
        $offer = fn (string $key): array => [
            'key' => $key, 'course' => 'c', 'tier' => self::pick([null, 'silver', 'gold']), 'plan' => self::pick([null, 'w', 'w', 'v']),
            'scope' => self::chance(25) ? [self::pick($this->items), self::pick($this->items)] : null,
            'lasts' => self::pick([null, ['days' => 30], ['until' => '2026-05-01T00:00']]),
            'labels' => self::chance(35) ? [self::pick(['red', 'gold', '7'])] : [],
        ];

        return Documents::object(Documents::decoded([
            'format' => 'silent-keep.plan/1',
            'school' => ['zone' => self::pick(self::ZONES), 'guests' => self::chance(70)],
            'offers' => [$offer('o0'), $offer('o1'), $offer('o2'), ['key' => 'd', 'course' => 'd', 'labels' => self::pick([['red'], ['gold', '7']])]],
            'courses' => [[
                'key' => 'c', 'state' => self::pick(['live', 'live', 'live', 'live', 'live', 'retired', 'draft']), 'entry' => self::pick(['offer', 'offer', 'anyone', 'invite']),
                'opens' => $opens, 'closes' => self::chance(15) ? '2026-06-10T12:00' : null,
                'keep_after_retiring' => self::chance(60), 'sample_needs_account' => self::chance(40), 'in_order' => self::chance(20),
                'guest_door' => ['open' => self::chance(60), 'default' => self::chance(50)],
                'observer_door' => ['open' => self::chance(70), 'default' => self::chance(60), 'follow' => self::chance(60)],
                'tiers' => ['silver', 'gold'], 'main_plan' => self::pick([null, 'w', 'v']), 'plans' => $plans, 'items' => $items,
            ], ['key' => 'd', 'state' => 'live', 'entry' => 'offer', 'items' => []]],
        ]));
    }

    /**
     * @param  array{int, int}  $count
     * @param  list<string>  $kinds
     * @return list<array<string, mixed>>
     */
    private function items(array $count, int $depth, array $kinds): array
    {
        $items = [];
        for ($n = mt_rand(...$count); $n > 0; $n--) {
            $items[] = $this->item($depth, self::pick($kinds));
        }

        return $items;
    }

    /** @return array<string, mixed> */
    private function item(int $depth, string $kind): array
    {
        $key = $kind[0].++$this->keys;
        $item = array_filter([
            'draft' => self::chance(6) ? true : null,
            'sample' => self::chance(10) ? true : null,
            'optional' => self::chance(20) ? true : null,
            'tiers' => self::chance(15) ? self::pick([['gold'], ['silver', 'gold'], []]) : null,
            'only' => self::chance(20) ? $this->condition(2) : null,
            'guests' => self::chance(20) ? self::chance(60) : null,
            'observers' => self::chance(20) ? self::chance(60) : null,
            'never_for' => self::chance(6) ? [self::pick(['guests', 'observers'])] : null,
            'after' => $this->lessons !== [] && self::chance(22) ? $this->after() : null,
            'when_closed' => self::chance(15) ? 'hide' : null,
        ], static fn (mixed $value): bool => $value !== null);
        $item = ['key' => $key, 'kind' => $kind, ...$item];
        $inside = match (true) {
            $kind === 'module' => $this->items([0, 4], $depth + 1, $depth > 0 ? ['lesson', 'lesson', 'board'] : ['lesson', 'lesson', 'lesson', 'module', 'board']),
            $kind === 'lesson' && self::chance(25) => $this->items([1, 2], $depth + 1, ['part']),
            default => [],
        };
        // Only what stands before and outside may be waited for, so that nothing waits for what it is in.
        $this->items[] = $key;
        if ($kind !== 'board') {
            $this->lessons[] = $key;
        }

        return [...$item, 'items' => $inside, ...($kind === 'module' && self::chance(40) ? ['in_order' => true] : [])];
    }

    /** @return array<string, mixed> */
    private function after(): array
    {
        $of = array_values(array_unique([self::pick($this->lessons), self::pick($this->lessons), self::pick($this->lessons)]));

        return self::pick([['all' => $of], ['any' => $of], ['at_least' => mt_rand(1, count($of)), 'of' => $of]]);
    }

    private function condition(int $depth): mixed
    {
        return match (self::pick(['label', 'label', 'tier', 'offer', 'kind', 'done', 'from', 'until', 'all', 'any', 'not'])) {
            'tier' => ['tier' => self::pick(['silver', 'gold'])],
            'offer' => ['offer' => self::pick(['o0', 'o1'])],
            'kind' => ['kind' => self::pick(['learner', 'observer', 'guest', 'member', 'visitor'])],
            'done' => $this->conditionsOnDone && $this->items !== [] ? ['done' => self::pick($this->items)] : ['label' => 'red'],
            'from' => ['from' => self::local()],
            'until' => ['until' => self::local()],
            'all' => $depth > 0 ? ['all' => [$this->condition($depth - 1), $this->condition($depth - 1)]] : ['all' => []],
            'any' => $depth > 0 ? ['any' => [$this->condition($depth - 1), $this->condition($depth - 1)]] : ['any' => []],
            'not' => ['not' => $depth > 0 ? $this->condition($depth - 1) : ['label' => 'gold']],
            default => ['label' => self::pick(['red', 'gold', '7'])],
        };
    }

    private function releasePlan(): mixed
    {
        $entries = [];
        foreach ($this->items as $key) {
            if (! self::chance(45)) {
                continue;
            }
            $entries[$key] = array_filter(['opens' => self::opening(), 'closes' => self::chance(20) ? self::pick([['rule' => 'on', 'at' => self::local()], ['rule' => 'after_open', 'days' => mt_rand(0, 40)]]) : null]);
        }

        return (object) array_map(static fn (array $entry): object => (object) $entry, $entries);
    }

    /** @return array<string, mixed> */
    private static function opening(): array
    {
        $relative = static fn (string $rule): array => ['rule' => $rule, 'days' => mt_rand(0, 20), 'time' => self::pick([null, null, '09:00', '02:15', '00:00']), 'weekday' => self::pick([null, null, mt_rand(1, 7)])];

        return match (mt_rand(0, 6)) {
            0 => ['rule' => 'at_once'],
            1 => ['rule' => 'on', 'at' => self::local()],
            2 => self::chance(50) ? ['rule' => 'held'] : ['rule' => 'at_once'],
            3, 4 => $relative('after_start'),
            default => $relative('after_previous'),
        };
    }

    private static function local(): string
    {
        return self::chance(25)
            ? self::pick(['2026-03-29T02:30', '2026-04-05T01:45', '2026-03-08T02:15'])
            : gmdate('Y-m-d\TH:i', self::instant());
    }

    private static function chance(int $percent): bool
    {
        return mt_rand(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private static function pick(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }
}

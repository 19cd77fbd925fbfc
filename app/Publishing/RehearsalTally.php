<?php

declare(strict_types=1);

namespace App\Publishing;

use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\ImpactTally;

/**
 * Impacts on groups of people, added up. Nobody may be in two groups. Of each number only so many people are
 * kept, so that it stays small however many there are.
 */
final class RehearsalTally
{
    /** People that are kept of each number of an item, and of each of those in all. */
    public const KEPT = 2000;

    public const KEPT_IN_ALL = 20000;

    /** People that are told by name beside each number; the others in its list. */
    public const NAMES = 24;

    private const TAKES = [Effect::Lose, Effect::Pause, Effect::LoseWork, Effect::Shorter, Effect::Later, Effect::Never];

    /**
     * @param  array<array-key, array<string, array{int, list<string>}>>  $items  count and ids by item and effect, in the order in which they are told
     * @param  array<string, array{int, list<string>}>  $touched  count and ids by effect
     */
    private function __construct(public int $people = 0, public array $items = [], public array $touched = [], public int $losers = 0)
    {
    }

    public static function none(): self
    {
        return new self;
    }

    public static function fromJson(string $json): self
    {
        /** @var array{int, array<array-key, array<string, array{int, list<string>}>>, array<string, array{int, list<string>}>, int} $parts as toJson() wrote them */
        $parts = json_decode($json, true, 512, JSON_THROW_ON_ERROR);

        return new self(...$parts);
    }

    public function toJson(): string
    {
        return json_encode([$this->people, $this->items, $this->touched, $this->losers], JSON_THROW_ON_ERROR);
    }

    public function add(ImpactTally $group): void
    {
        $impact = $group->toArray(names: true);
        $this->people += $impact['people'];
        $losers = [];
        foreach (Effect::cases() as $effect) {
            $ids = $impact['touched'][$effect->value] ?? [];
            $ids = is_array($ids) ? $ids : [];
            self::count($this->touched, $effect->value, $ids, self::KEPT_IN_ALL);
            if (in_array($effect, self::TAKES, true)) {
                $losers += array_fill_keys($ids, true);
            }
        }
        $this->losers += count($losers);
        foreach ($impact['items'] as $row) {
            $item = is_string($row['item']) ? $row['item'] : '';
            $this->items[$item] ??= [];
            foreach (Effect::cases() as $effect) {
                $ids = $row[$effect->value] ?? [];
                self::count($this->items[$item], $effect->value, is_array($ids) ? $ids : [], self::KEPT);
            }
        }
    }

    /** Those who were counted elsewhere, after these. */
    public function join(self $others): void
    {
        $this->people += $others->people;
        $this->losers += $others->losers;
        foreach ($others->touched as $effect => [$number, $ids]) {
            self::count($this->touched, $effect, $ids, self::KEPT_IN_ALL, $number);
        }
        foreach ($others->items as $item => $counts) {
            $this->items[$item] ??= [];
            foreach ($counts as $effect => [$number, $ids]) {
                self::count($this->items[$item], $effect, $ids, self::KEPT, $number);
            }
        }
    }

    /**
     * @param  array<string, array{int, list<string>}>  $counts
     * @param  list<string>  $ids
     * @param  ?int  $of  how many they are, where not all are named
     */
    private static function count(array &$counts, string $effect, array $ids, int $most, ?int $of = null): void
    {
        if ($ids !== []) {
            [$number, $named] = $counts[$effect] ?? [0, []];
            $counts[$effect] = [$number + ($of ?? count($ids)), [...$named, ...array_slice($ids, 0, max(0, $most - count($named)))]];
        }
    }

    /** @return list<string> everybody who is told by name somewhere */
    public function named(): array
    {
        $ids = [];
        foreach ([$this->touched, ...$this->items] as $counts) {
            foreach ($counts as [, $named]) {
                $ids += array_fill_keys(array_slice($named, 0, self::NAMES), true);
            }
        }

        return array_map(strval(...), array_keys($ids));
    }
}

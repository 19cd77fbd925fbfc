<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

/** Whom a change of plan touches, and how, item by item and in all. */
final class ImpactTally
{
    private int $people = 0;

    /** @var array<int, array<string, list<string>>> ids by item and effect */
    private array $ids = [];

    /** @var array<string, list<string>> ids by effect */
    private array $touched = [];

    /** @param  list<string>  $items  keys, in the order of the answer */
    public function __construct(private readonly array $items)
    {
    }

    /** @param  array<int, Effect>  $effects  by index into the items */
    public function add(string $id, array $effects): void
    {
        $this->people++;
        $kinds = [];
        foreach ($effects as $item => $effect) {
            $this->ids[$item][$effect->value][] = $id;
            $kinds[$effect->value] = true;
        }
        foreach (array_keys($kinds) as $kind) {
            $this->touched[$kind][] = $id;
        }
    }

    /**
     * @param  bool  $names  ids, sorted by code point, in place of numbers
     * @return array{people: int, items: list<array<string, string|int|list<string>>>, touched: array<string, int|list<string>>}
     */
    public function toArray(bool $names): array
    {
        $items = [];
        foreach ($this->items as $index => $key) {
            $items[] = ['item' => $key, ...self::row($this->ids[$index] ?? [], $names)];
        }

        return ['people' => $this->people, 'items' => $items, 'touched' => self::row($this->touched, $names)];
    }

    /**
     * @param  array<string, list<string>>  $ids
     * @return array<string, int|list<string>>
     */
    private static function row(array $ids, bool $names): array
    {
        $row = [];
        foreach (Effect::cases() as $effect) {
            $of = $ids[$effect->value] ?? [];
            sort($of, SORT_STRING);
            $row[$effect->value] = $names ? $of : count($of);
        }

        return $row;
    }
}

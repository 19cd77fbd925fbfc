<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

/** Whom a change of plan touches, and how, item by item and in all. */
final class ImpactTally
{
    private int $people = 0;

    /** @var array<string, list<string>> ids of those to whom the change does the same, by that: a byte an item, \x00 nothing or one more than the place of the effect among all */
    private array $ids = [];

    /** @param  list<string>  $items  keys, in the order of the answer */
    public function __construct(private readonly array $items)
    {
    }

    /** @param  array<int, Effect>  $effects  by index into the items */
    public function add(string $id, array $effects): void
    {
        $bytes = str_repeat("\x00", count($this->items));
        foreach ($effects as $item => $effect) {
            $bytes[$item] = chr(self::byte($effect));
        }
        $this->addAs($id, $bytes);
    }

    /** @param  string  $effects  a byte an item, as {@see self::byte()} gives it or \x00 */
    public function addAs(string $id, string $effects): void
    {
        $this->people++;
        if (trim($effects, "\x00") !== '') {
            $this->ids[$effects][] = $id;
        }
    }

    public static function byte(Effect $effect): int
    {
        /** @var array<string, int> $bytes */
        static $bytes = [];
        if ($bytes === []) {
            foreach (Effect::cases() as $place => $case) {
                $bytes[$case->value] = $place + 1;
            }
        }

        return $bytes[$effect->value];
    }

    /**
     * @param  bool  $names  ids, sorted by code point, in place of numbers
     * @return array{people: int, items: list<array<string, string|int|list<string>>>, touched: array<string, int|list<string>>}
     */
    public function toArray(bool $names): array
    {
        $byItem = $touched = [];
        foreach ($this->ids as $effects => $ids) {
            foreach (array_keys(count_chars(trim($effects, "\x00"), 1)) as $effect) {
                $touched[$effect][] = $ids;
            }
            foreach (self::effectsIn($effects) as $item => $effect) {
                $byItem[$item][$effect][] = $ids;
            }
        }
        $items = [];
        foreach ($this->items as $index => $key) {
            $items[] = ['item' => $key, ...self::row($byItem[$index] ?? [], $names)];
        }

        return ['people' => $this->people, 'items' => $items, 'touched' => self::row($touched, $names)];
    }

    /** @return \Generator<int, int> the byte by the item it is for */
    private static function effectsIn(string $effects): \Generator
    {
        for ($item = strspn($effects, "\x00"); $item < strlen($effects); $item += 1 + strspn($effects, "\x00", $item + 1)) {
            yield $item => ord($effects[$item]);
        }
    }

    /**
     * @param  array<int, list<list<string>>>  $groups  ids by byte
     * @return array<string, int|list<string>>
     */
    private static function row(array $groups, bool $names): array
    {
        $row = [];
        foreach (Effect::cases() as $effect) {
            $of = $groups[self::byte($effect)] ?? [];
            if (! $names) {
                $row[$effect->value] = array_sum(array_map(count(...), $of));

                continue;
            }
            $ids = array_merge([], ...$of);
            sort($ids, SORT_STRING);
            $row[$effect->value] = $ids;
        }

        return $row;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Outline;

/**
 * The items of a course in reading order: an item before what is inside it, in document order.
 * Elsewhere in the core an item is known by its position in this list.
 */
final readonly class Outline
{
    /** The parent of a top item. */
    public const TOP = -1;

    /** @var list<Item> */
    public array $items;

    /** @var list<int<-1, max>> position of the item above, or TOP */
    public array $parent;

    /** @var list<int> 0 at the top */
    public array $depth;

    /** @var list<int> the position after the last one inside the item */
    public array $end;

    /** @var array<array-key, int> position by key (PHP turns keys such as "12" into integers) */
    public array $positions;

    /** @var list<list<int>> the path of each item: its ancestors from the top, then itself */
    public array $path;

    /** @var list<bool> whether the item or one above it is a draft */
    public array $draftOnPath;

    /** @var list<int> how many items of the path are optional, itself counted */
    public array $optionalOnPath;

    /** @param  list<Item>  $topItems */
    public function __construct(array $topItems)
    {
        $items = $parent = $depth = $end = $position = $path = $draft = $optional = [];
        /** @var list<list<int>> $path */
        /** @var list<int> $optional */
        /** @var list<int<-1, max>> $parent */
        /** @var list<array{Item, int<-1, max>}> $waiting what is still to be numbered, the next one last, with the position of what it stands in */
        $waiting = array_map(static fn (Item $item): array => [$item, self::TOP], array_reverse($topItems));
        while ($waiting !== []) {
            [$item, $above] = array_pop($waiting);
            $at = count($items);
            $items[] = $item;
            $parent[] = $above;
            $depth[] = $above < 0 ? 0 : $depth[$above] + 1;
            $end[] = $at + 1;
            $position[$item->key] = $at;
            $path[] = [...($above < 0 ? [] : $path[$above]), $at];
            $draft[] = $item->draft || ($above >= 0 && $draft[$above]);
            $optional[] = ($above >= 0 ? $optional[$above] : 0) + ($item->optional ? 1 : 0);
            foreach (array_reverse($item->items) as $inside) {
                $waiting[] = [$inside, $at];
            }
        }
        for ($at = count($items) - 1; $at >= 0; $at--) {
            if ($parent[$at] >= 0) {
                $end[$parent[$at]] = max($end[$parent[$at]], $end[$at]);
            }
        }
        $this->items = $items;
        $this->parent = $parent;
        $this->depth = $depth;
        $this->end = array_values($end);
        $this->positions = $position;
        $this->path = $path;
        $this->draftOnPath = $draft;
        $this->optionalOnPath = $optional;
    }

    public function positionOf(string $key): ?int
    {
        return $this->positions[$key] ?? null;
    }

    /** @return list<string> keys of the item and of all that it stands in, from it upwards */
    public function keysUp(int $at): array
    {
        return array_map(fn (int $step): string => $this->items[$step]->key, array_reverse($this->path[$at]));
    }

    public function count(): int
    {
        return count($this->items);
    }

    /** Whether a lesson stands here that is no draft and not inside one. */
    public function isPublishedLesson(int $at): bool
    {
        return $this->items[$at]->kind === Kind::Lesson && ! $this->draftOnPath[$at];
    }

    /**
     * The lessons inside a module, at any depth, that are not optional, nor inside something optional within it.
     *
     * @return \Generator<int, int> positions in reading order
     */
    public function requiredLessons(int $module): \Generator
    {
        for ($at = $module + 1; $at < $this->end[$module]; $at++) {
            if ($this->items[$at]->kind === Kind::Lesson && $this->optionalOnPath[$at] === $this->optionalOnPath[$module]) {
                yield $at;
            }
        }
    }

    /** Whether `$at` is `$container` or inside it. */
    public function lies(int $at, int $container): bool
    {
        return $container <= $at && $at < $this->end[$container];
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** What must be complete first: all of some items, or so many of them. */
final readonly class Prerequisites
{
    /**
     * @param  list<int>  $items  positions in reading order
     * @param  ?int  $atLeast  null: all of them
     */
    private function __construct(public array $items, private ?int $atLeast)
    {
    }

    /** @param  list<int>  $items */
    public static function all(array $items): self
    {
        return new self($items, null);
    }

    /** @param  list<int>  $items */
    public static function any(array $items): self
    {
        return new self($items, 1);
    }

    /** @param  list<int>  $items */
    public static function atLeast(int $count, array $items): self
    {
        return new self($items, $count);
    }

    /** Whether all of them are needed, however many count for the viewer. */
    public function areAll(): bool
    {
        return $this->atLeast === null || $this->atLeast >= count($this->items);
    }

    /** How many must be met when only so many of the items count for the viewer: never more than are left. */
    public function required(int $left): int
    {
        return min($this->atLeast ?? $left, $left);
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Comparing;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Foresight\PersonUnderPlan;

/** What somebody has of each item at an instant, and what they may come to. */
final class Prospect
{
    /** @var ?array{list<?int>, list<?int>} */
    private ?array $reach = null;

    /** @var ?array<int, int> */
    private ?array $endings = null;

    /**
     * @param  array<array-key, int>  $positions  of the items in their course, by key
     * @param  ?PersonUnderPlan  $under  null: the course was not there
     */
    public function __construct(private readonly array $positions, private readonly ?PersonUnderPlan $under, public readonly int $at)
    {
    }

    public function isOpen(string $item): bool
    {
        return $this->has($item, $this->under->open ?? '');
    }

    public function isToWorkIn(string $item): bool
    {
        return $this->has($item, $this->under->works ?? '');
    }

    /** Whether it opens by time alone, having been shut. */
    public function opensLater(string $item): bool
    {
        return $this->has($item, $this->under?->opensLater() ?? '');
    }

    /**
     * When it is first open at best, or first open to work in; null: not within the time that is looked at. What it takes no time to come
     * to comes at 0, whatever the instant is: it does not come later because time goes by.
     */
    public function reach(string $item, bool $toWork): ?int
    {
        $this->reach ??= $this->under?->reach() ?? [[], []];
        $at = $this->reach[$toWork ? 1 : 0][$this->positions[$item] ?? -1] ?? null;

        return $at !== null && $at <= $this->at ? 0 : $at;
    }

    /** When what is open is no longer so; null: it lasts, or is not open. */
    public function ending(string $item): ?int
    {
        $this->endings ??= $this->under?->endings() ?? [];

        return $this->endings[$this->positions[$item] ?? -1] ?? null;
    }

    private function has(string $item, string $mask): bool
    {
        return ($mask[$this->positions[$item] ?? PHP_INT_MAX] ?? Mask::OUT) === Mask::IN;
    }
}

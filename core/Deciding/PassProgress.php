<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;

/**
 * What counts for a pass at an instant, what of it is complete, and whose prerequisites are met.
 * What counts stays as it is when {@see self::supposing()} asks what would be if more were done.
 */
final readonly class PassProgress
{
    /**
     * @param  list<bool>  $eligible
     * @param  array<int, true>  $done
     */
    public function __construct(private Outline $outline, private bool $topInOrder, public array $eligible, private array $done)
    {
    }

    /** @param  array<int, true>  $more */
    public function supposing(array $more): self
    {
        return new self($this->outline, $this->topInOrder, $this->eligible, $this->done + $more);
    }

    /** Lessons, parts and boards: when done. Modules: when they have an eligible lesson that is not optional, and all of those are done. */
    public function isComplete(int $at): bool
    {
        if ($this->outline->items[$at]->kind !== Kind::Module) {
            return isset($this->done[$at]);
        }
        $lessons = 0;
        foreach ($this->lessonsOf($at) as $lesson) {
            if (! isset($this->done[$lesson])) {
                return false;
            }
            $lessons++;
        }

        return $lessons > 0;
    }

    public function prerequisitesMet(int $at): bool
    {
        return $this->afterMet($at) && $this->turnHasCome($at);
    }

    /**
     * What the item itself still waits for; where any of several would do, all of those.
     *
     * @return list<int>
     */
    public function waitsFor(int $at): array
    {
        $earlier = $this->turnHasCome($at) ? null : $this->oneBefore($at);

        return [...($this->afterMet($at) ? [] : array_values(array_filter($this->counting($at), fn (int $key): bool => ! $this->isMet($key)))), ...($earlier === null ? [] : [$earlier])];
    }

    /** Whether what the item names itself is finished, as far as it counts. */
    public function afterMet(int $at): bool
    {
        $after = $this->outline->items[$at]->after;
        if ($after === null) {
            return true;
        }
        $counting = $this->counting($at);

        return count(array_filter($counting, $this->isMet(...))) >= $after->required(count($counting));
    }

    /** @return array<int, int> those of its prerequisites that count for this pass */
    private function counting(int $at): array
    {
        return array_filter($this->outline->items[$at]->after->items ?? [], fn (int $key): bool => $this->eligible[$key]);
    }

    private function isMet(int $key): bool
    {
        return $this->isComplete($key) || $this->isEmptyModule($key);
    }

    /** In order: the nearest earlier sibling that counts, and is not optional, is complete. */
    public function turnHasCome(int $at): bool
    {
        $before = $this->oneBefore($at);

        return $before === null || $this->isComplete($before);
    }

    /** The sibling that must come first where they stand in order, if there is one. */
    private function oneBefore(int $at): ?int
    {
        $above = $this->outline->parent[$at];
        $inOrder = $above === Outline::TOP ? $this->topInOrder : $this->outline->items[$above]->inOrder;
        if (! $inOrder || $this->outline->items[$at]->kind === Kind::Board) {
            return null;
        }
        for ($earlier = $at - 1; $earlier > $above; $earlier--) {
            if ($this->outline->parent[$earlier] === $above && $this->eligible[$earlier] && ! $this->outline->items[$earlier]->optional && ! $this->isEmptyModule($earlier)) {
                return $earlier;
            }
        }

        return null;
    }

    private function isEmptyModule(int $at): bool
    {
        return $this->outline->items[$at]->kind === Kind::Module && ! $this->lessonsOf($at)->valid();
    }

    /** @return \Generator<int, int> the lessons that make a module complete for this pass */
    private function lessonsOf(int $module): \Generator
    {
        foreach ($this->outline->requiredLessons($module) as $lesson) {
            if ($this->eligible[$lesson]) {
                yield $lesson;
            }
        }
    }
}

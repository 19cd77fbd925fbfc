<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\CourseMasks;

/** Whose turn comes after whose, item by item: what finishing something may open. */
final readonly class Turns
{
    /** @var array<int, int> the item that must come first where items stand in order, by the item that waits for it */
    public array $before;

    /** @var array<int, array{list<int>, list<int>, int}> what must be done first by name: lessons and parts, modules with lessons that count, and how many of them all; where none is needed, left out */
    public array $after;

    /** @var array<int, int> those for which nothing but one lesson or part stands in the way, by that */
    public array $behindOne;

    /** @var array<int, int> the item for which nothing but this lesson or part stands in the way */
    public array $nextInTurn;

    /** @var array<int, list<int>> other items whose own prerequisites may come to be met once this is complete */
    public array $wakes;

    /**
     * @param  array<int, int>  $before
     * @param  array<int, array{list<int>, list<int>, int}>  $after
     */
    public function __construct(CourseMasks $course, array $before, array $after)
    {
        $this->before = $before;
        $this->after = $after;
        $behindOne = [];
        foreach ($this->before as $item => $first) {
            if (! $course->isModule[$first] && $course->gates[$item] === [$item] && ! isset($course->after[$item]) && ! $course->isModule[$item]) {
                $behindOne[$item] = $first;
            }
        }
        $this->behindOne = $behindOne;
        $this->nextInTurn = array_flip($behindOne);
        $wakes = [];
        foreach (array_diff_key($this->before, $behindOne) as $item => $first) {
            $wakes[$first][] = $item;
        }
        foreach ($course->after as $item => $prerequisites) {
            foreach ($prerequisites->items as $first) {
                $wakes[$first][] = $item;
            }
        }
        $this->wakes = $wakes;
    }
}

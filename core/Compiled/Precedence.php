<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * Whose turn comes after whose, where items stand in order, for one set of items that count. Most wait for
 * the lesson right before them, so that one shifted mask of what is done answers for all of those.
 */
final class Precedence
{
    /** @var array<int, int> the item that must come first, by the item that waits for it */
    public readonly array $before;

    /** @var array<int, string> those that wait for something other than a module, by how far before them it stands */
    public readonly array $byDistance;

    /** @var array<int, int> those that wait for a module */
    public readonly array $behindModules;

    /** @var array<int, int> those for which nothing but one lesson or part stands in the way, by that */
    public readonly array $behindOne;

    /** @var array<int, int> the item for which nothing but this lesson or part stands in the way */
    public readonly array $nextInTurn;

    /** @var array<int, array{list<int>, list<int>, int}> what must be done first by name: lessons and parts, modules with lessons that count, and how many of them all; where none is needed, left out */
    public readonly array $after;

    /** @var array<int, list<int>> other items whose own prerequisites may come to be met once this is complete */
    public readonly array $wakes;

    public function __construct(CourseMasks $course, string $eligible)
    {
        $lessons = $eligible & $course->lessons;
        $this->before = self::inOrder($course, $eligible, $lessons);
        $this->after = self::byName($course, $eligible, $lessons);
        $byDistance = $behindModules = $behindOne = [];
        foreach ($this->before as $item => $first) {
            if ($course->isModule[$first]) {
                $behindModules[$item] = $first;

                continue;
            }
            $byDistance[$item - $first] ??= $course->none;
            $byDistance[$item - $first][$item] = Mask::IN;
            if ($course->gates[$item] === [$item] && ! isset($course->after[$item]) && ! $course->isModule[$item]) {
                $behindOne[$item] = $first;
            }
        }
        $this->byDistance = $byDistance;
        $this->behindModules = $behindModules;
        $this->behindOne = $behindOne;
        $this->nextInTurn = array_flip($behindOne);
        $this->wakes = self::wakes($course, array_diff_key($this->before, $behindOne));
    }

    /**
     * The nearest earlier sibling in an order that counts and is not empty.
     *
     * @param  string  $lessons  that count
     * @return array<int, int>
     */
    private static function inOrder(CourseMasks $course, string $eligible, string $lessons): array
    {
        $before = [];
        foreach ($course->earlier as $item => $siblings) {
            foreach ($siblings as $sibling) {
                if ($eligible[$sibling] === Mask::IN && (! $course->isModule[$sibling] || $course->hasRequired($lessons, $sibling))) {
                    $before[$item] = $sibling;
                    break;
                }
            }
        }

        return $before;
    }

    /**
     * @param  string  $lessons  that count
     * @return array<int, array{list<int>, list<int>, int}>
     */
    private static function byName(CourseMasks $course, string $eligible, string $lessons): array
    {
        $named = [];
        foreach ($course->after as $item => $prerequisites) {
            $plain = $modules = [];
            $left = $empty = 0;
            foreach ($prerequisites->items as $first) {
                if ($eligible[$first] === Mask::OUT) {
                    continue;
                }
                $left++;
                if (! $course->isModule[$first]) {
                    $plain[] = $first;
                } elseif ($course->hasRequired($lessons, $first)) {
                    $modules[] = $first;
                } else {
                    $empty++;
                }
            }
            $needed = $prerequisites->required($left) - $empty;
            if ($needed > 0) {
                $named[$item] = [$plain, $modules, $needed];
            }
        }

        return $named;
    }

    /**
     * @param  array<int, int>  $before  those that wait in an order for more than one lesson or part
     * @return array<int, list<int>>
     */
    private static function wakes(CourseMasks $course, array $before): array
    {
        $wakes = [];
        foreach ($before as $item => $first) {
            $wakes[$first][] = $item;
        }
        foreach ($course->after as $item => $prerequisites) {
            foreach ($prerequisites->items as $first) {
                $wakes[$first][] = $item;
            }
        }

        return $wakes;
    }
}

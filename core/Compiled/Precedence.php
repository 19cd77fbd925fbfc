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
        $before = $byDistance = $behindModules = $behindOne = [];
        foreach ($course->earlier as $item => $siblings) {
            foreach ($siblings as $sibling) {
                $lesson = $course->isModule[$sibling] ? strpos($lessons, Mask::IN, $sibling) : $sibling;
                $empty = $lesson === false || $lesson >= $course->outline->end[$sibling];
                if ($eligible[$sibling] === Mask::IN && ! $empty) {
                    $before[$item] = $sibling;
                    break;
                }
            }
            if (! isset($before[$item])) {
                continue;
            }
            if ($course->isModule[$before[$item]]) {
                $behindModules[$item] = $before[$item];

                continue;
            }
            $distance = $item - $before[$item];
            $byDistance[$distance] ??= $course->none;
            $byDistance[$distance][$item] = Mask::IN;
            if ($course->gates[$item] === [$item] && ! isset($course->after[$item]) && ! $course->isModule[$item]) {
                $behindOne[$item] = $before[$item];
            }
        }
        $after = [];
        foreach ($course->after as $item => $prerequisites) {
            $plain = $modules = [];
            $left = $empty = 0;
            foreach ($prerequisites->items as $key) {
                if ($eligible[$key] === Mask::OUT) {
                    continue;
                }
                $left++;
                $lesson = $course->isModule[$key] ? strpos($lessons, Mask::IN, $key) : false;
                if (! $course->isModule[$key]) {
                    $plain[] = $key;
                } elseif ($lesson !== false && $lesson < $course->outline->end[$key]) {
                    $modules[] = $key;
                } else {
                    $empty++;
                }
            }
            $needed = $prerequisites->required($left) - $empty;
            if ($needed > 0) {
                $after[$item] = [$plain, $modules, $needed];
            }
        }
        $this->after = $after;
        $this->before = $before;
        $this->byDistance = $byDistance;
        $this->behindModules = $behindModules;
        $this->behindOne = $behindOne;
        $this->nextInTurn = array_flip($behindOne);
        $wakes = [];
        foreach ($before as $item => $first) {
            if (! isset($behindOne[$item])) {
                $wakes[$first][] = $item;
            }
        }
        foreach ($course->after as $item => $after) {
            foreach ($after->items as $first) {
                $wakes[$first][] = $item;
            }
        }
        $this->wakes = $wakes;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Order;

use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Mask;

/**
 * The order in which the items of a course come to be open for whoever finishes each as soon as it opens, so that one look at each
 * item tells when: an item that waits for others stands after all of them.
 */
final readonly class Itinerary
{
    public const NONE = -1;

    public const MORE = -2;

    /** @var list<int> what the holder may come to and waits for nothing but its time, in reading order */
    public array $free;

    /** @var list<int> those of them for which others wait */
    public array $freeFirsts;

    /** @var list<int> what has to wait, or stands in something that has: each after all that it waits for; the lists below go with it */
    public array $gated;

    /** @var list<int> the next one above it that has to wait, or -1 */
    public array $above;

    /** @var list<int> the one lesson or part it waits for; NONE, or MORE where those are several */
    public array $first;

    /** @var array<int, array{list<int>, list<list<int>>, int}> where they are several: all of these lessons and parts; so many of these groups whole */
    public array $firsts;

    /** @var list<bool> whether it is a module, and so complete by its lessons */
    public array $isModule;

    /** @var list<bool> whether the holder may come to it */
    public array $reachable;

    /** Whether things wait for each other in a circle, so that no such order is there. */
    public bool $circular;

    public function __construct(CourseMasks $course, Precedence $precedence, string $inReach)
    {
        $reach = $inReach & $course->published;
        $gated = $after = $waitedFor = [];
        foreach ($course->gates as $item => $gates) {
            if ($gates === []) {
                continue;
            }
            [$all, $some, $needed] = self::waitsFor($course, $precedence, $item);
            $above = $course->outline->parent[$item];
            $above = $above >= 0 && $course->gates[$above] !== [] ? $above : self::NONE;
            $gated[$item] = [$above, $all, $some, $needed];
            $firsts = $some === [] ? $all : array_merge($all, ...$some);
            $waitedFor += array_flip($firsts);
            $after[$item] = $above < 0 ? $firsts : [$above, ...$firsts];
        }
        $order = self::inReadingOrder($after) ? array_keys($after) : self::order($after);
        $this->circular = $order === null;
        $this->gated = $order ?? [];
        $above = $first = $firsts = $isModule = $reachable = [];
        foreach ($this->gated as $place => $item) {
            [$above[], $all, $some, $needed] = $gated[$item];
            $first[] = $some === [] && count($all) < 2 ? $all[0] ?? self::NONE : self::MORE;
            if ($first[$place] === self::MORE) {
                $firsts[$place] = [$all, $some, $needed];
            }
            $isModule[] = $course->isModule[$item];
            $reachable[] = $reach[$item] === Mask::IN;
        }
        [$this->above, $this->first, $this->firsts, $this->isModule, $this->reachable] = [$above, $first, $firsts, $isModule, $reachable];
        $this->free = self::positions($reach & $course->ungated);
        $this->freeFirsts = array_values(array_filter($this->free, static fn (int $item): bool => isset($waitedFor[$item])));
    }

    /** @return list<int> */
    private static function positions(string $mask): array
    {
        $positions = [];
        for ($item = strpos($mask, Mask::IN); $item !== false; $item = strpos($mask, Mask::IN, $item + 1)) {
            $positions[] = $item;
        }

        return $positions;
    }

    /** @param  array<int, list<int>>  $after  what must stand before each */
    private static function inReadingOrder(array $after): bool
    {
        foreach ($after as $item => $firsts) {
            if ($firsts !== [] && max($firsts) >= $item) {
                return false;
            }
        }

        return true;
    }

    /** @return array{list<int>, list<list<int>>, int} all of these lessons and parts; so many of these groups whole */
    private static function waitsFor(CourseMasks $course, Precedence $precedence, int $item): array
    {
        $first = $precedence->turns()->before[$item] ?? null;
        $all = $first === null ? [] : self::madeOf($course, $precedence, $first);
        [$plain, $modules, $needed] = $precedence->turns()->after[$item] ?? [[], [], 0];
        $some = array_map(static fn (int $of): array => self::madeOf($course, $precedence, $of), [...$plain, ...$modules]);

        return $needed === count($some) ? [array_merge($all, ...$some), [], 0] : [$all, $some, $needed];
    }

    /** @return list<int> what has to be done for it to be complete: itself, or of a module the lessons that count and are not optional in it */
    private static function madeOf(CourseMasks $course, Precedence $precedence, int $item): array
    {
        if (! $course->isModule[$item]) {
            return [$item];
        }
        $lessons = [];
        foreach ($course->outline->requiredLessons($item) as $lesson) {
            if ($precedence->lessons[$lesson] === Mask::IN) {
                $lessons[] = $lesson;
            }
        }

        return $lessons;
    }

    /**
     * @param  array<int, list<int>>  $after  what must stand before each
     * @return ?list<int> null where there is no order
     */
    private static function order(array $after): ?array
    {
        $order = [];
        $met = [];
        foreach (array_keys($after) as $start) {
            $way = [$start];
            while ($way !== []) {
                $item = $way[count($way) - 1];
                $met[$item] ??= 0;
                $left = $after[$item];
                $next = null;
                while ($met[$item] < count($left)) {
                    $next = $left[$met[$item]++];
                    if (isset($after[$next]) && ! isset($order[$next])) {
                        break;
                    }
                    $next = null;
                }
                if ($next === null) {
                    $order[$item] = $item;
                    array_pop($way);
                } elseif (isset($met[$next])) {
                    return null;
                } else {
                    $way[] = $next;
                }
            }
        }

        return array_values($order);
    }
}

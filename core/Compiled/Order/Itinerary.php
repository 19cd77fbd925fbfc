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

    /**
     * @param  list<int>  $free  what the holder may come to and waits for nothing but its time, in reading order
     * @param  list<int>  $gated  what has to wait, or stands in something that has: each after all that it waits for; the lists below go with it
     * @param  list<int>  $above  the next one above it that has to wait, or -1
     * @param  list<int>  $first  the one lesson or part it waits for; NONE, or MORE where those are several
     * @param  array<int, array{list<int>, list<list<int>>, int}>  $firsts  where they are several: all of these lessons and parts; so many of these groups whole
     * @param  list<bool>  $isModule  whether it is a module, and so complete by its lessons
     * @param  list<bool>  $reachable  whether the holder may come to it
     * @param  list<int>  $freeFirsts  what is free and has others wait for it
     * @param  string  $waitedFor  mask of all for which others wait
     */
    private function __construct(
        public array $free,
        public array $gated,
        public array $above,
        public array $first,
        public array $firsts,
        public array $isModule,
        public array $reachable,
        public array $freeFirsts,
        public string $waitedFor,
    ) {
    }

    /** Null where things wait for each other in a circle, so that no such order is there. */
    public static function of(CourseMasks $course, Precedence $precedence, string $inReach): ?self
    {
        $reach = $inReach & $course->published;
        $gated = $after = [];
        $waitedFor = $course->none;
        foreach ($course->gates as $item => $gates) {
            if ($gates === []) {
                continue;
            }
            [$all, $some, $needed] = self::waitsFor($course, $precedence, $item);
            $above = $course->outline->parent[$item];
            $above = $above >= 0 && $course->gates[$above] !== [] ? $above : self::NONE;
            $gated[$item] = [$above, $all, $some, $needed];
            $firsts = $some === [] ? $all : array_merge($all, ...$some);
            foreach ($firsts as $of) {
                $waitedFor[$of] = Mask::IN;
            }
            $after[$item] = $above < 0 ? $firsts : [$above, ...$firsts];
        }
        $order = self::inReadingOrder($after) ? array_keys($after) : self::order($after);
        if ($order === null) {
            return null;
        }
        $above = $first = $firsts = $isModule = $reachable = [];
        foreach ($order as $place => $item) {
            [$above[], $all, $some, $needed] = $gated[$item];
            $first[] = $some === [] && count($all) < 2 ? $all[0] ?? self::NONE : self::MORE;
            if ($first[$place] === self::MORE) {
                $firsts[$place] = [$all, $some, $needed];
            }
            $isModule[] = $course->isModule[$item];
            $reachable[] = $reach[$item] === Mask::IN;
        }
        $free = $reach & $course->ungated;

        return new self(Mask::positions($free), $order, $above, $first, $firsts, $isModule, $reachable, Mask::positions($free & $waitedFor), $waitedFor);
    }

    /**
     * The part in which anything can depend on when some items open: these, what waits for them, and all that those wait for. When what is
     * left out opens depends on none of them.
     *
     * @param  string  $items  mask
     */
    public function partOf(string $items): self
    {
        foreach ($this->gated as $place => $item) {
            foreach ($this->waits($place) as $first) {
                if ($items[$first] === Mask::IN) {
                    $items[$item] = Mask::IN;
                }
            }
        }
        $places = [];
        for ($place = count($this->gated) - 1; $place >= 0; $place--) {
            if ($items[$this->gated[$place]] === Mask::IN) {
                $places[] = $place;
                foreach ($this->waits($place) as $first) {
                    $items[$first] = Mask::IN;
                }
            }
        }
        $places = array_reverse($places);
        $in = static fn (int $item): bool => $items[$item] === Mask::IN;
        $firsts = [];
        foreach ($places as $now => $place) {
            if (isset($this->firsts[$place])) {
                $firsts[$now] = $this->firsts[$place];
            }
        }

        return new self(
            array_values(array_filter($this->free, $in)), self::at($places, $this->gated), self::at($places, $this->above), self::at($places, $this->first), $firsts,
            self::at($places, $this->isModule), self::at($places, $this->reachable), array_values(array_filter($this->freeFirsts, $in)), $this->waitedFor & $items,
        );
    }

    /**
     * @template T
     *
     * @param  list<int>  $places
     * @param  list<T>  $list
     * @return list<T>
     */
    private static function at(array $places, array $list): array
    {
        return array_map(static fn (int $place): mixed => $list[$place], $places);
    }

    /** @return list<int> items for which the one at a place of the order waits, the one above it too */
    private function waits(int $place): array
    {
        $waits = $this->above[$place] >= 0 ? [$this->above[$place]] : [];
        if ($this->first[$place] !== self::MORE) {
            return $this->first[$place] >= 0 ? [...$waits, $this->first[$place]] : $waits;
        }
        [$all, $some] = $this->firsts[$place];

        return array_merge($waits, $all, ...$some);
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

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/**
 * The order in which the items of a course come to be open for whoever finishes each as soon as it opens, so that one look at each
 * item tells when: an item that waits for others stands after all of them.
 */
final readonly class Itinerary
{
    /** @var list<int> what the holder may come to and waits for nothing but its time, in reading order */
    public array $free;

    /**
     * What has to wait, or stands in something that has: each after all that it waits for.
     *
     * @var list<array{int, int, list<int>, list<list<int>>, int, bool, bool}> the item; the next one above it that has to wait, or -1;
     *                                                                         lessons and parts all of which it waits for; groups of them so many of which it waits for whole, and how many;
     *                                                                         whether it is a module; whether the holder may come to it
     */
    public array $gated;

    /** Whether things wait for each other in a circle, so that no such order is there. */
    public bool $circular;

    public function __construct(CompiledCourse $course, Precedence $precedence, string $inReach)
    {
        $turns = $precedence->turns();
        $reach = $inReach & $course->published;
        $free = [];
        $mine = $reach & $course->ungated;
        for ($item = strpos($mine, Mask::IN); $item !== false; $item = strpos($mine, Mask::IN, $item + 1)) {
            $free[] = $item;
        }
        $this->free = $free;
        $gated = $after = [];
        foreach ($course->gates as $item => $gates) {
            if ($gates === []) {
                continue;
            }
            $above = $course->outline->parent[$item];
            $first = $turns->before[$item] ?? null;
            $all = $first === null ? [] : self::madeOf($course, $precedence, $first);
            [$plain, $modules, $needed] = $turns->after[$item] ?? [[], [], 0];
            $some = array_map(static fn (int $of): array => self::madeOf($course, $precedence, $of), [...$plain, ...$modules]);
            if ($needed === count($some)) {
                [$all, $some, $needed] = [array_merge($all, ...$some), [], 0];
            }
            $aboveGated = $above >= 0 && $course->gates[$above] !== [] ? $above : -1;
            $gated[$item] = [$item, $aboveGated, $all, $some, $needed, $course->isModule[$item], $reach[$item] === Mask::IN];
            $after[$item] = [...($aboveGated < 0 ? [] : [$aboveGated]), ...$all, ...array_merge([], ...$some)];
        }
        $order = self::order($after);
        $this->circular = $order === null;
        $this->gated = array_map(static fn (int $item): array => $gated[$item], $order ?? []);
    }

    /** @return list<int> what has to be done for it to be complete: itself, or of a module the lessons that count and are not optional in it */
    private static function madeOf(CompiledCourse $course, Precedence $precedence, int $item): array
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

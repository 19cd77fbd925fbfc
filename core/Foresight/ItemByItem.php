<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\Itinerary;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Time\Instant;

/**
 * The same as {@see DatedSweep} for who holds one pass: each item once, in an order in which it stands after all it waits for, so that
 * it opens at the later of its date and the last of those.
 */
final class ItemByItem
{
    /** Open to work in before all time, or complete then. */
    private const AT_ONCE = PHP_INT_MIN;

    private function __construct()
    {
    }

    /**
     * @param  int  $before  the first instant that no longer counts; `$from` itself always does
     * @return ?array{list<?int>, list<?int>} when each item is first open, and first open to work in; null: for this viewer another way has to be found
     */
    public static function of(ViewerMasks $viewer, int $from, int $before): ?array
    {
        $pass = $viewer->passes[0] ?? null;
        if ($pass === null || count($viewer->passes) > 1) {
            return null;
        }
        $itinerary = $pass->footing($from)->itinerary();
        if ($itinerary === null) {
            return null;
        }
        [$begins, $ends] = $pass->stretch();
        $begins = $begins > $from ? $begins : $from;
        // `$from` counts even where nothing after it does.
        $ends = min($ends, max($before, $from + 1));
        $works = $begins < $ends ? self::works($viewer, $pass, $itinerary, $begins, $ends) : array_fill(0, $viewer->course->count, null);

        return [$viewer->course->hasSamples ? self::withSamples($viewer, $works, $from, $before) : $works, $works];
    }

    /** @return list<?int> */
    private static function works(ViewerMasks $viewer, PassMasks $pass, Itinerary $itinerary, int $begins, int $ends): array
    {
        $course = $viewer->course;
        $done = $viewer->done;
        $works = array_fill(0, $course->count, null);
        $finished = array_fill(0, $course->count, Instant::NEVER);
        $step = $pass->profile->releaseStep;
        $releases = $pass->releases();
        $closings = $pass->profile->steps->everClose() ? $pass->closings() : null;
        $closingStep = $pass->profile->closingStep;
        foreach ($itinerary->free as $item) {
            $at = $releases[$step[$item]];
            if ($at < $begins) {
                $at = $begins;
            }
            if ($at < $ends && ($closings === null || $at < $closings[$closingStep[$item]])) {
                $works[$item] = $finished[$item] = $at;
            }
        }
        for ($item = strpos($done, Mask::IN); $item !== false; $item = strpos($done, Mask::IN, $item + 1)) {
            $finished[$item] = self::AT_ONCE;
        }
        $progress = null;
        $passes = [];
        foreach ($itinerary->gated as [$item, $above, $all, $some, $needed, $isModule, $reachable]) {
            if ($finished[$item] === self::AT_ONCE) {
                // What someone has finished stays open to them.
                $opens = self::AT_ONCE;
            } else {
                $opens = $above < 0 ? self::AT_ONCE : $passes[$above];
                foreach ($all as $first) {
                    if ($finished[$first] > $opens) {
                        $opens = $finished[$first];
                    }
                }
                if ($needed > 0) {
                    $opens = max($opens, self::soManyOf($some, $needed, $finished));
                }
                if ($isModule && $opens > $begins && ($progress ??= $pass->progress($begins))->isComplete($item)) {
                    $opens = self::AT_ONCE;
                }
            }
            $passes[$item] = $opens;
            if (! $reachable) {
                continue;
            }
            $at = $releases[$step[$item]];
            if ($at < $begins) {
                $at = $begins;
            }
            if ($at < $opens) {
                $at = $opens;
            }
            if ($at < $ends && ($closings === null || $at < $closings[$closingStep[$item]])) {
                $works[$item] = $at;
                if ($finished[$item] !== self::AT_ONCE) {
                    $finished[$item] = $at;
                }
            }
        }

        return $works;
    }

    /**
     * When so many of these groups are finished whole.
     *
     * @param  list<list<int>>  $groups
     * @param  array<int, int>  $finished
     */
    private static function soManyOf(array $groups, int $needed, array $finished): int
    {
        $when = [];
        foreach ($groups as $group) {
            $last = self::AT_ONCE;
            foreach ($group as $item) {
                $last = max($last, $finished[$item]);
            }
            $when[] = $last;
        }
        sort($when);

        return $when[$needed - 1];
    }

    /**
     * @param  list<?int>  $works
     * @return list<?int>
     */
    private static function withSamples(ViewerMasks $viewer, array $works, int $from, int $before): array
    {
        $course = $viewer->course->prepared->course;
        $at = max($from, $course->opens ?? PHP_INT_MIN);
        if ($at >= ($course->closes ?? Instant::NEVER) || ($at >= $before && $at !== $from)) {
            return $works;
        }
        $samples = $viewer->asSample($at) & $viewer->course->published;
        for ($item = strpos($samples, Mask::IN); $item !== false; $item = strpos($samples, Mask::IN, $item + 1)) {
            $works[$item] = min($works[$item] ?? $at, $at);
        }

        return array_values($works);
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight\Sweeps;

use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\Order\Itinerary;
use SilentKeep\Core\Compiled\PassMasks;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Time\Instant;

/**
 * The same as {@see DatedSweep} for who holds one pass: each item once, in an order in which it stands after all it waits for, so that
 * it opens at the later of its date and the last of those.
 */
final class ItemByItem
{
    private function __construct()
    {
    }

    /**
     * @param  int  $before  the first instant that no longer counts; `$from` itself always does
     * @param  ?string  $about  mask; of what does not depend on when these open nothing need be told. Null: of all
     * @return ?array{list<?int>, list<?int>} when each item is first open, and first open to work in; null: for this viewer another way has to be found
     */
    public static function of(ViewerMasks $viewer, int $from, int $before, ?string $about = null): ?array
    {
        $pass = $viewer->passes[0] ?? null;
        if ($pass === null || count($viewer->passes) > 1) {
            return null;
        }
        $itinerary = $viewer->course->itinerary($pass->footing($from), $about);
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
        $works = self::free($viewer->course->nothing, $pass, $itinerary->free, $begins, $ends);
        $finished = array_fill(0, $viewer->course->count, Instant::NEVER);
        foreach ($itinerary->freeFirsts as $item) {
            $finished[$item] = $works[$item] ?? Instant::NEVER;
        }
        // What is done already stands in nobody's way: nothing opens before the pass begins.
        $done = $viewer->done & $itinerary->waitedFor;
        for ($item = strpos($done, Mask::IN); $item !== false; $item = strpos($done, Mask::IN, $item + 1)) {
            $finished[$item] = $begins;
        }
        $opens = self::gates($viewer, $pass, $itinerary, $begins, $ends, $finished);
        foreach ($itinerary->gated as $place => $item) {
            $works[$item] = $opens[$place];
        }

        return array_values($works);
    }

    /**
     * What waits for nothing but its time.
     *
     * @param  array<int, ?int>  $works  of every item
     * @param  list<int>  $items
     * @return array<int, ?int>
     */
    private static function free(array $works, PassMasks $pass, array $items, int $begins, int $ends): array
    {
        $step = $pass->pacing->releaseStep;
        $releases = $pass->releases();
        $closings = $pass->pacing->everCloses ? $pass->closings() : null;
        $closingStep = $pass->pacing->closingStep;
        foreach ($items as $item) {
            $at = $releases[$step[$item]];
            if ($at < $begins) {
                $at = $begins;
            }
            if ($at < $ends && ($closings === null || $at < $closings[$closingStep[$item]])) {
                $works[$item] = $at;
            }
        }

        return $works;
    }

    /**
     * What has to wait, or stands in something that has.
     *
     * @param  array<int, int>  $finished  when each item is, as far as it is known
     * @return list<?int> in the order of the itinerary
     */
    private static function gates(ViewerMasks $viewer, PassMasks $pass, Itinerary $itinerary, int $begins, int $ends, array $finished): array
    {
        $passes = array_fill(0, $viewer->course->count, $begins);
        $works = [];
        [$step, $closingStep, $releases] = [$pass->pacing->releaseStep, $pass->pacing->closingStep, $pass->releases()];
        $closings = $pass->pacing->everCloses ? $pass->closings() : null;
        [$above, $firsts, $reachable] = [$itinerary->above, $itinerary->first, $itinerary->reachable];
        foreach ($itinerary->gated as $place => $item) {
            $opens = $begins;
            // What someone has finished stays open to them.
            if ($viewer->done[$item] === Mask::OUT) {
                if ($above[$place] >= 0) {
                    $opens = $passes[$above[$place]];
                }
                $first = $firsts[$place];
                if ($first >= 0) {
                    $opens = $finished[$first] > $opens ? $finished[$first] : $opens;
                } elseif ($first === Itinerary::MORE) {
                    $opens = self::whenMet($itinerary->firsts[$place], $finished, $opens);
                }
                if ($opens > $begins && $itinerary->isModule[$place] && $pass->progress($begins)->isComplete($item)) {
                    $opens = $begins;
                }
                $passes[$item] = $opens;
            }
            $release = $releases[$step[$item]];
            $at = $release > $opens ? $release : $opens;
            $comes = $reachable[$place] && $at < $ends && ($closings === null || $at < $closings[$closingStep[$item]]);
            $works[] = $comes ? $at : null;
            if ($comes && $finished[$item] > $at) {
                $finished[$item] = $at;
            }
        }

        return $works;
    }

    /**
     * The later of an instant and when what is waited for is finished.
     *
     * @param  array{list<int>, list<list<int>>, int}  $firsts  as the itinerary has them
     * @param  array<int, int>  $finished
     */
    private static function whenMet(array $firsts, array $finished, int $met): int
    {
        foreach ($firsts[0] as $first) {
            if ($finished[$first] > $met) {
                $met = $finished[$first];
            }
        }
        $needed = $firsts[2];
        if ($needed === 0) {
            return $met;
        }
        $later = [];
        foreach ($firsts[1] as $group) {
            $last = $met;
            foreach ($group as $first) {
                if ($finished[$first] > $last) {
                    $last = $finished[$first];
                }
            }
            if ($last === $met) {
                // Finished by then.
                if (--$needed === 0) {
                    return $met;
                }
            } else {
                $later[] = $last;
            }
        }
        sort($later);

        return $later[$needed - 1];
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

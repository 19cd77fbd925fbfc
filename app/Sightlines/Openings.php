<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Access\SchoolClock;
use App\Sightlines\Vantages\SeenFrom;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** When rows open for a viewer by their dates alone, and what an edit moves. */
final readonly class Openings
{
    /** Rows that follow are named up to so many. */
    private const NAMED = 5;

    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  SeenFrom  $then  the same viewer as seen by the rules after
     * @param  list<string>  $edited  keys of the rows that are set
     * @return list<Sentence> those first, moved or not; what moves only with what it stands in is left out
     */
    public function moved(Decider $before, SeenFrom $seen, Decider $after, SeenFrom $then, array $edited): array
    {
        $old = self::of($before, $seen->viewer);
        $new = self::of($after, $then->viewer);
        $here = $follow = [];
        $outline = $after->course->outline;
        foreach ($outline->items as $position => $item) {
            $was = $old[$item->key] ?? null;
            $becomes = $new[$item->key] ?? Instant::NEVER;
            if ($was === null) {
                continue;
            }
            if (in_array($item->key, $edited, true)) {
                // A rule that waits for a weekday may come out at the same date as before.
                $here[] = $was === $becomes ? Sentence::say('sightlines.openings.here_still_when', titles: ['when' => $this->words($was)]) : Sentence::say('sightlines.openings.here_when_becomes_when2', titles: ['when' => $this->words($was), 'when2' => $this->words($becomes)]);
            } elseif ($was === $becomes) {
                continue;
            } elseif (! self::movesAlong($outline, $position, $old, $new)) {
                $follow[] = Sentence::say('sightlines.openings.title_follows_when_becomes', ['title' => $item->title ?? $item->key], ['when' => $this->words($was), 'when2' => $this->words($becomes)]);
            }
        }
        $more = count($follow) - self::NAMED;

        return [...$here, ...array_slice($follow, 0, self::NAMED), ...($more > 0 ? [Sentence::say('sightlines.openings.and_more_more_follow', ['more' => $more])] : [])];
    }

    /**
     * @param  array<array-key, int>  $old
     * @param  array<array-key, int>  $new
     */
    private static function movesAlong(Outline $outline, int $position, array $old, array $new): bool
    {
        $above = $outline->parent[$position];
        if ($above === Outline::TOP) {
            return false;
        }
        $key = $outline->items[$position]->key;
        $aboveKey = $outline->items[$above]->key;

        return ($new[$key] ?? null) === ($new[$aboveKey] ?? null) && ($old[$key] ?? null) === ($old[$aboveKey] ?? null);
    }

    private function words(int $instant): string
    {
        return $instant === Instant::NEVER ? 'never' : $this->clock->words($instant);
    }

    /** @return array<array-key, int> by key; NEVER for never */
    private static function of(Decider $decider, Viewer $viewer): array
    {
        $learner = $viewer->observes ?? $viewer;
        $pass = self::pass($decider, $learner);
        $offer = $pass === null ? null : $decider->prepared->offerOf($pass);
        $openings = [];
        if ($pass !== null && $offer !== null) {
            $release = $decider->prepared->schedule($pass, $offer)->release;
            foreach ($decider->course->outline->items as $position => $item) {
                $openings[$item->key] = $release[$position];
            }

            return $openings;
        }
        foreach ($decider->course->outline->items as $position => $item) {
            $opening = $decider->course->mainPlan?->opening($position);
            $above = $decider->course->outline->parent[$position];
            $own = $opening?->dated() ?? 0;
            $openings[$item->key] = max($above === Outline::TOP ? 0 : $openings[$decider->course->outline->items[$above]->key] ?? 0, $own);
        }

        return $openings;
    }

    /** The pass of this course that began last. */
    private static function pass(Decider $decider, Viewer $viewer): ?Pass
    {
        $latest = null;
        foreach ($viewer->passes as $pass) {
            if ($decider->prepared->offerOf($pass) !== null && ($latest === null || $pass->from > $latest->from)) {
                $latest = $pass;
            }
        }

        return $latest;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Checks\Way;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Offer;

/** What waits for itself in a circle, or for what never comes: followed from one thing that is waited for to the next. */
final class Waiting
{
    /**
     * @param  \Closure(Offer): array<int, Way>  $never  what an offer never opens, by position
     * @return iterable<Finding>
     */
    public function findings(Survey $survey, \Closure $never): iterable
    {
        $circles = $waits = [];
        foreach ($survey->wholeOffers() as $offer) {
            $shut = $never($offer);
            $inCircles = [];
            foreach ($shut as $position => $way) {
                $circle = self::circle($survey, $way, $position);
                if ($circle !== []) {
                    $circles[implode(' ', $circle)][$offer->key] = true;
                    $inCircles = [...$inCircles, ...$circle];
                }
            }
            foreach (array_diff_key($shut, array_flip($inCircles)) as $position => $way) {
                $roots = self::roots($survey, $way, $position, $shut);
                if ($roots !== [] && ! isset($shut[$survey->outline->parent[$position]])) {
                    $waits[$position.'|'.implode(' ', $roots)][$offer->key] = true;
                }
            }
        }
        foreach ($circles as $circle => $offers) {
            yield new Finding(CheckKind::WaitsInCircle, $survey->keys(self::positions((string) $circle)), array_map(strval(...), array_keys($offers)));
        }
        foreach ($waits as $key => $offers) {
            [$position, $roots] = explode('|', $key);
            yield new Finding(CheckKind::WaitsForever, $survey->keys([(int) $position]), array_map(strval(...), array_keys($offers)), $survey->keys(self::positions($roots)));
        }
    }

    /** @return list<int> */
    private static function positions(string $joined): array
    {
        return array_map(intval(...), explode(' ', $joined));
    }

    /**
     * The circle in which a position stands, if it does.
     *
     * @return list<int> in reading order
     */
    private static function circle(Survey $survey, Way $way, int $position): array
    {
        $before = [$position => null];
        $queue = [$position];
        while ($queue !== []) {
            $at = array_shift($queue);
            foreach (self::waitsFor($survey, $way, $at) as $next) {
                if ($next === $position) {
                    return self::back($before, $at);
                }
                if (! array_key_exists($next, $before)) {
                    $before[$next] = $at;
                    $queue[] = $next;
                }
            }
        }

        return [];
    }

    /**
     * @param  array<int, ?int>  $before
     * @return list<int>
     */
    private static function back(array $before, int $at): array
    {
        $circle = [];
        for ($step = $at; $step !== null; $step = $before[$step]) {
            $circle[] = $step;
        }
        sort($circle);

        return $circle;
    }

    /**
     * What it waits for itself that never comes for a reason of its own.
     *
     * @param  array<int, Way>  $shut
     * @return list<int>
     */
    private static function roots(Survey $survey, Way $way, int $position, array $shut): array
    {
        $own = static fn (int $at): bool => $way->opens($at) === null && self::waitsFor($survey, $way, $at) === [];

        return array_values(array_filter(self::waitsFor($survey, $way, $position), $own));
    }

    /**
     * What is left to be finished before a position; of modules, what is missing in them.
     *
     * @return list<int>
     */
    private static function waitsFor(Survey $survey, Way $way, int $position): array
    {
        $found = [];
        foreach ($way->opens($position) === null ? $way->waitsFor($position) : [] as $first) {
            $found = [...$found, ...($survey->outline->items[$first]->kind === Kind::Module && $way->opens($first) !== null ? self::missingIn($survey, $way, $first) : [$first])];
        }

        return array_values(array_unique($found));
    }

    /** @return list<int> the lessons that count and never open */
    private static function missingIn(Survey $survey, Way $way, int $module): array
    {
        return array_values(array_filter(
            iterator_to_array($survey->outline->requiredLessons($module), false),
            static fn (int $lesson): bool => $way->meant[$lesson] && $way->reach->works[$lesson] === null,
        ));
    }
}

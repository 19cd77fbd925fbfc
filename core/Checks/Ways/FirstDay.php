<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Ways;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Checks\Way;

/** Whether whoever takes an offer finds the first lesson open, and whether it is for all of them. */
final class FirstDay implements Check
{
    public function find(Survey $survey): iterable
    {
        $closed = $few = [];
        foreach ($survey->offers() as $offer) {
            [$plain] = $ways = $survey->ways($offer);
            $first = self::first($survey, $plain);
            $welcome = self::first($survey, $ways[count($ways) - 1]);
            if ($welcome !== null && ($first === null || $welcome < $first)) {
                $few[$welcome][] = $offer->key;
            }
            if ($first !== null && ! $survey->handsOut($offer) && $plain->opens($first) !== null && ! $survey->isOnADay($offer, $first) && ! self::isOpenAtOnce($survey, $plain, $first)) {
                $closed[$first][] = $offer->key;
            }
        }
        foreach ($few as $position => $offers) {
            yield new Finding(CheckKind::WelcomeForFew, $survey->keys([$position]), $offers);
        }
        foreach ($closed as $position => $offers) {
            $offer = $survey->plan->offer($offers[0]);
            yield new Finding(CheckKind::FirstDayClosed, $survey->keys([$position]), $offers, facts: $offer === null ? [] : ['opens' => $survey->way($offer, [])->opens($position) ?? $survey->from]);
        }
    }

    /** The first lesson that the pass is meant to open to its holder. */
    private static function first(Survey $survey, Way $way): ?int
    {
        foreach ($way->meant as $position => $meant) {
            if ($meant && $survey->outline->isPublishedLesson($position)) {
                return $position;
            }
        }

        return null;
    }

    private static function isOpenAtOnce(Survey $survey, Way $way, int $position): bool
    {
        return $survey->snapshot($way->reach->afterwards->withDone([]), $way->pass->from)->standings[$position]->act;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Selling;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Offer;

/** Trials that end before anything comes that strangers may not see, and trials that open sooner what is paid for. */
final class Trials implements Check
{
    public function find(Survey $survey): iterable
    {
        $trials = array_values(array_filter($survey->offers(), static fn (Offer $offer): bool => in_array($offer->key, $survey->circumstances->trials, true)));
        $sold = $survey->circumstances->sold;
        $paid = array_values(array_filter($survey->offers(), static fn (Offer $offer): bool => ! in_array($offer, $trials, true) && ($sold === null || ($sold[$offer->key] ?? 0) > 0)));
        $free = $survey->strangers(signedIn: true);
        foreach ($trials as $trial) {
            $way = $survey->way($trial, []);
            $fits = array_filter(array_keys($survey->outline->items), static fn (int $position): bool => $survey->outline->isPublishedLesson($position) && $way->reach->works[$position] !== null && $free[$position] === null);
            $covered = array_filter(array_keys($survey->outline->items), static fn (int $position): bool => $way->meant[$position] && $survey->outline->isPublishedLesson($position));
            if ($fits === [] && $covered !== [] && ! $survey->handsOut($trial)) {
                yield new Finding(CheckKind::TrialShort, offers: [$trial->key], facts: ['ends' => $way->pass->until]);
            }
            yield from $this->sooner($survey, $trial, $paid);
        }
    }

    /**
     * @param  list<Offer>  $paid
     * @return iterable<Finding>
     */
    private function sooner(Survey $survey, Offer $trial, array $paid): iterable
    {
        $sooner = [];
        $way = $survey->way($trial, []);
        foreach ($survey->outline->items as $position => $item) {
            $ways = array_filter(array_map(static fn (Offer $offer) => $survey->way($offer, []), $paid), static fn ($other): bool => $other->meant[$position]);
            $opens = $way->opens($position);
            if ($ways === [] || $opens === null || $item->kind !== Kind::Lesson) {
                continue;
            }
            $soonest = min(array_map(static fn ($other): int => $other->opens($position) ?? PHP_INT_MAX, $ways));
            if ($opens < $soonest) {
                $sooner[$position] = $soonest;
            }
        }
        if ($sooner !== []) {
            $offers = array_values(array_filter($paid, static fn (Offer $offer): bool => array_filter(array_keys($sooner), static fn (int $position): bool => $survey->way($offer, [])->meant[$position]) !== []));
            $told = array_filter($sooner, static fn (int $instant): bool => $instant !== PHP_INT_MAX);
            yield new Finding(CheckKind::TrialSooner, $survey->keys(array_keys($sooner)), [$trial->key, ...array_map(static fn (Offer $offer): string => $offer->key, $offers)], facts: $told === [] ? [] : ['opens' => max($told)]);
        }
    }
}

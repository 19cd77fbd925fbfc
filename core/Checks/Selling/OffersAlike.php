<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Selling;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Viewing\Offer;

/** Offers that open the same, at the same times and for as long, whoever takes them now or a month from now. */
final class OffersAlike implements Check
{
    private const LATER = 30;

    public function find(Survey $survey): iterable
    {
        $alike = [];
        foreach ($survey->offers() as $offer) {
            $alike[self::opens($survey, $offer)][] = $offer->key;
        }
        foreach ($alike as $offers) {
            if (count($offers) > 1) {
                yield new Finding(CheckKind::OffersAlike, offers: $offers);
            }
        }
    }

    private static function opens(Survey $survey, Offer $offer): string
    {
        $opens = [$offer->labels, $survey->end($offer)];
        foreach ([0, self::LATER] as $days) {
            foreach ($survey->labels === [] ? [[]] : [[], $survey->labels] as $labels) {
                $lasts = $offer->lasts->end($survey->plan->zone->plusDays($survey->from, $days), $survey->plan->zone) > $survey->plan->zone->plusDays($survey->from, $days);
                $way = $lasts ? $survey->way($offer, $labels, $days) : null;
                // What is handed out is the same of two plans that hand out all.
                $opens[] = [$way?->reach->open, $way?->reach->works, array_map(static fn (int $position): bool => $survey->isHeld($offer, $position), array_keys($survey->outline->items))];
            }
        }

        return hash('xxh128', json_encode($opens, JSON_THROW_ON_ERROR));
    }
}

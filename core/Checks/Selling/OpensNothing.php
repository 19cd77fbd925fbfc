<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Selling;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Offer;
use SilentKeep\Core\Viewing\Viewer;

/** Offers that open nothing to work in which whoever signs in has not open as well, and offers of which no pass would last. */
final class OpensNothing implements Check
{
    public function find(Survey $survey): iterable
    {
        if ($survey->isOver()) {
            return;
        }
        $over = array_values(array_diff(array_map(static fn (Offer $offer): string => $offer->key, $survey->course->offers), array_map(static fn (Offer $offer): string => $offer->key, $survey->offers())));
        foreach ($over as $offer) {
            yield new Finding(CheckKind::OfferOver, offers: [$offer]);
        }
        if (! in_array(true, array_map($survey->outline->isPublishedLesson(...), array_keys($survey->outline->items)), true)) {
            return;
        }
        $anyway = (new Reaching($survey->decider, $survey->compiled))->reach(new Viewer(signedIn: true, labels: $survey->labels), $survey->from)->works;
        foreach ($survey->offers() as $offer) {
            if ($offer->labels === [] && ! self::opensMore($survey, $offer, $anyway)) {
                yield new Finding(CheckKind::OfferOpensNothing, offers: [$offer->key]);
            }
        }
    }

    /** @param  list<?int>  $anyway  when each item is open to work in for whoever has no pass */
    private static function opensMore(Survey $survey, Offer $offer, array $anyway): bool
    {
        $coverage = $survey->decider->prepared->coverage($offer);
        foreach ($survey->outline->items as $position => $item) {
            if ($item->kind === Kind::Module || $item->kind === Kind::Board || ! $survey->isPublished($position)) {
                continue;
            }
            // What is left to be handed out is the offer's to give, in its time.
            if ($coverage->covers($position) && $anyway[$position] === null && $survey->isHeld($offer, $position)) {
                return true;
            }
            foreach ($survey->ways($offer) as $way) {
                if ($way->reach->works[$position] !== null && $way->reach->works[$position] < ($anyway[$position] ?? PHP_INT_MAX)) {
                    return true;
                }
            }
        }

        return false;
    }
}

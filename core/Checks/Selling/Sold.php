<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Selling;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Viewing\Offer;

/** Whether the way in that the course names is there, and whether what is sold is not to be had for nothing. */
final class Sold implements Check
{
    public function find(Survey $survey): iterable
    {
        $entry = $survey->course->entry;
        if ($entry !== Entry::Anyone && $survey->course->offers === []) {
            yield new Finding(CheckKind::NoWayIn);
        }
        $sold = $survey->circumstances->sold;
        if ($sold === null || $survey->isOver()) {
            return;
        }
        $keys = array_map(static fn (Offer $offer): string => $offer->key, $survey->offers());
        $sold = array_intersect_key($sold, array_flip($keys));
        $priced = array_filter($sold, static fn (int $price): bool => $price > 0);
        $free = array_diff_key($sold, $priced, array_flip($survey->circumstances->trials));
        $told = [
            [$entry === Entry::Invite, CheckKind::SoldByInvitation, $sold],
            [$entry === Entry::Anyone, CheckKind::SoldThoughOpen, $priced],
            [$entry !== Entry::Anyone && $entry !== Entry::Invite && $priced !== [], CheckKind::FreeBesidePriced, $free],
        ];
        foreach ($told as [$applies, $kind, $offers]) {
            if ($applies && $offers !== []) {
                yield new Finding($kind, offers: array_map(strval(...), array_keys($offers)));
            }
        }
        if ($entry === Entry::Offer && $keys !== [] && $sold === []) {
            yield new Finding(CheckKind::NothingSold, offers: $keys);
        }
    }
}

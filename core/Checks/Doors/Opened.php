<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks\Doors;

use SilentKeep\Core\Checks\Check;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\Survey;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Viewing\Viewer;

/** Doors that are open and lead to nothing, and permissions behind doors that are shut. */
final class Opened implements Check
{
    public function find(Survey $survey): iterable
    {
        foreach (Audience::cases() as $audience) {
            $permitted = array_keys(array_filter($survey->outline->items, static fn ($item, int $position): bool => $survey->isPublished($position) && $item->admits($audience) === true, ARRAY_FILTER_USE_BOTH));
            if (! $survey->isOpenFor($audience) && $permitted !== []) {
                yield new Finding(CheckKind::PermissionBehindShutDoor, $survey->keys($permitted), about: [$audience->value]);
            }
        }
        if ($survey->isOver()) {
            return;
        }
        if ($survey->course->guestDoor->open && ! self::showsGuests($survey)) {
            yield new Finding(CheckKind::DoorLeadsNowhere, about: [Audience::Guests->value]);
        }
        if ($survey->course->observerDoor->open && $survey->offers() !== [] && ! self::showsObservers($survey)) {
            yield new Finding(CheckKind::DoorLeadsNowhere, about: [Audience::Observers->value]);
        }
    }

    /** Whether whoever comes by the guests' link comes to anything that strangers do not. */
    private static function showsGuests(Survey $survey): bool
    {
        $stranger = $survey->strangers(signedIn: false);
        foreach ($survey->strangers(signedIn: false, guest: true) as $position => $opens) {
            if ($opens !== null && $opens < ($stranger[$position] ?? PHP_INT_MAX)) {
                return true;
            }
        }

        return false;
    }

    /** Whether whoever looks in on a learner sees anything, as the learner begins or when they have done all. */
    private static function showsObservers(Survey $survey): bool
    {
        foreach ($survey->offers() as $offer) {
            if ($survey->handsOut($offer)) {
                return true;
            }
            $way = $survey->way($offer, $survey->labels);
            foreach (array_unique([$survey->from, $way->reach->instants[count($way->reach->instants) - 1]]) as $at) {
                $observer = new Viewer(signedIn: true, labels: $survey->labels, observes: $way->reach->afterwards);
                foreach ($survey->snapshot($observer, $at)->standings as $standing) {
                    if ($standing->via === Route::Observer) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Viewing\Offer;

/** The rules that make a finding what it is: what is told of it comes back when one of them is changed. */
final class Cause
{
    private function __construct()
    {
    }

    public static function of(Finding $finding, Course $course): string
    {
        $offers = array_values(array_filter($course->offers, static fn (Offer $offer): bool => in_array($offer->key, $finding->offers, true)));
        $rules = [$finding->subject(), $course->entry, $course->opens, $course->closes, $course->guestDoor, $course->observerDoor, $course->sampleNeedsAccount, $course->mainPlan?->name];
        foreach ($offers as $offer) {
            $rules[] = [$offer->key, $offer->tier, $offer->scope, $offer->lasts, $offer->labels, $offer->plan?->name];
        }
        foreach ([...$finding->items, ...$finding->about] as $key) {
            $position = $course->outline->positionOf($key);
            foreach ($position === null ? [] : $course->outline->path[$position] as $step) {
                $rules[] = self::ofItem($course->outline->items[$step], $course);
                foreach ($finding->offers === [] ? $course->plans : array_filter(array_map(static fn (Offer $offer) => $offer->plan, $offers)) as $plan) {
                    $rules[] = [$plan->name, $plan->entries[$step] ?? null];
                }
            }
        }

        return hash('xxh128', serialize($rules));
    }

    /** @return list<mixed> all that is set of it, but what it is called and what is inside */
    private static function ofItem(Item $item, Course $course): array
    {
        $waits = array_map(static fn (int $position): string => $course->outline->items[$position]->key, $item->after->items ?? []);

        return [$item->key, $item->sample, $item->tiers, $item->only, $item->guests, $item->observers, $item->neverFor, $waits, $item->after?->required(count($waits)), $item->inOrder, $item->optional];
    }
}

<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** What conditions may ask about a viewer on one route; the answers decide in which sense they are read. */
interface ConditionFacts
{
    public function hasLabel(string $label): Truth;

    /** Of the pass being tried; false on a route without one. */
    public function hasTier(string $tier): bool;

    /** Of the pass being tried; false on a route without one. */
    public function isByOffer(string $offer): bool;

    public function isKind(ViewerKind $kind): bool;

    /** @param  int  $item  position in reading order */
    public function isDone(int $item): Truth;

    public function isFrom(int $instant): Truth;

    public function isUntil(int $instant): Truth;
}

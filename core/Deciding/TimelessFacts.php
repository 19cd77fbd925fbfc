<?php

declare(strict_types=1);

namespace SilentKeep\Core\Deciding;

use SilentKeep\Core\Rules\ConditionFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/** The holder of a pass, with everything that time or work can change read as open. */
final readonly class TimelessFacts implements ConditionFacts
{
    /** @param  list<string>  $labels */
    public function __construct(private Offer $offer, private array $labels)
    {
    }

    public function hasLabel(string $label): bool
    {
        return in_array($label, $this->labels, true);
    }

    public function hasTier(string $tier): bool
    {
        return $this->offer->tier === $tier;
    }

    public function isByOffer(string $offer): bool
    {
        return $this->offer->key === $offer;
    }

    public function isKind(ViewerKind $kind): bool
    {
        return $kind === ViewerKind::Learner;
    }

    public function isDone(int $item): Truth
    {
        return Truth::Open;
    }

    public function isFrom(int $instant): Truth
    {
        return Truth::Open;
    }

    public function isUntil(int $instant): Truth
    {
        return Truth::Open;
    }
}

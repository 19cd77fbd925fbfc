<?php

declare(strict_types=1);

namespace SilentKeep\Core\Conditions;

use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Viewing\Offer;

/** Which items the scope and the tier of an offer let through. Depends on nobody and on no instant. */
final readonly class OfferCoverage
{
    /** @var list<bool> */
    public array $inScope;

    /** @var list<bool> */
    public array $inTier;

    public function __construct(Offer $offer, Outline $outline)
    {
        $inScope = $inTier = [];
        foreach ($outline->items as $at => $item) {
            $inScope[] = $offer->scope === null || self::touches($offer->scope, $at, $outline);
            $above = $outline->parent[$at];
            $inTier[] = ($above === Outline::TOP || $inTier[$above])
                && ($item->tiers === null || ($offer->tier !== null && in_array($offer->tier, $item->tiers, true)));
        }
        $this->inScope = $inScope;
        $this->inTier = $inTier;
    }

    public function covers(int $at): bool
    {
        return $this->inScope[$at] && $this->inTier[$at];
    }

    /** @param  list<int>  $scope  whether it holds the item, an ancestor, or something inside the item */
    private static function touches(array $scope, int $at, Outline $outline): bool
    {
        foreach ($scope as $held) {
            if ($outline->lies($at, $held) || $outline->lies($held, $at)) {
                return true;
            }
        }

        return false;
    }
}

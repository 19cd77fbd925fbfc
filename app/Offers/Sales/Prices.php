<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Offer;
use App\Models\PaidEvery;
use App\Offers\Taking;
use App\Words\Formats;
use App\Words\Say;

/** What something costs somebody, and in words. */
final class Prices
{
    private function __construct()
    {
    }

    /** In the smallest unit of the currency. */
    public static function cents(Offer $offer, Taking $taking): int
    {
        return ($taking->replaces === [] ? $offer->price : $offer->upgrade_price ?? $offer->price) ?? 0;
    }

    public static function words(int $cents, string $currency, ?PaidEvery $every): string
    {
        $price = $cents === 0 ? Say::text('learner.shop.free') : Formats::money($cents, $currency);

        return $every === null ? $price : Say::text("learner.shop.every_{$every->value}", ['price' => $price]);
    }
}

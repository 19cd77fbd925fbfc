<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Bundle;
use App\Models\Offer;
use App\Models\PaidEvery;

/** What stands at a checkout: an offer, or several at one price. */
final readonly class Ware
{
    /** @param  list<Offer>  $offers  with their courses */
    private function __construct(public string $key, public string $name, public ?int $price, public string $currency, public ?PaidEvery $every, public array $offers, public ?Bundle $bundle)
    {
    }

    public static function offer(Offer $offer): self
    {
        return new self($offer->key, $offer->name, $offer->price, $offer->currency, $offer->every, [$offer], null);
    }

    public static function bundle(Bundle $bundle): self
    {
        return new self($bundle->key, $bundle->name, $bundle->price, $bundle->currency, $bundle->every, array_values($bundle->offers->all()), $bundle);
    }

    /** Where it is bought. */
    public function address(?string $item = null): string
    {
        return $this->bundle === null
            ? route('checkout', ['offer' => $this->key, ...($item === null ? [] : ['item' => $item])], false)
            : route('checkout.bundle', ['bundle' => $this->key, ...($item === null ? [] : ['item' => $item])], false);
    }
}

<?php

declare(strict_types=1);

namespace Tests\TwoAtOnce;

use App\Models\Offer;
use App\Models\Purchase;
use Tests\Factories\BundleFactory;

/** For tests in which somebody is about to buy, or has bought. */
trait Buys
{
    private function bundleOf(string $buyer, string ...$offers): void
    {
        BundleFactory::new()->createOne(['key' => 'both', 'name' => 'Both', 'price' => 100])->offers()->sync(Offer::query()->whereIn('key', $offers)->pluck('id')->all());
        $this->actingAs($this->person($buyer));
    }

    /** @return int the purchase */
    private function boughtBy(string $buyer): int
    {
        $this->actingAs($this->person($buyer))->post('/checkout/tools-only', ['item' => '']);
        $this->actingAs($this->person('hege'));

        return Purchase::query()->sole()->id;
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * Several offers at one price: whoever takes it gets a pass of each, in one step.
 *
 * @property int $id
 * @property string $key
 * @property string $name
 * @property ?int $price in the smallest unit of the currency; null: not sold
 * @property string $currency
 * @property ?PaidEvery $every null: it is paid for once
 * @property Collection<int, Offer> $offers
 */
final class Bundle extends Record
{
    protected $table = 'bundles';

    protected $guarded = [];

    protected $casts = ['every' => PaidEvery::class];

    /** @return BelongsToMany<Offer, $this> */
    public function offers(): BelongsToMany
    {
        return $this->belongsToMany(Offer::class)->orderBy('offers.id');
    }
}

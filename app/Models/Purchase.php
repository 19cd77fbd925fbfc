<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What somebody has bought, claimed, or pays for again and again. Its passes name it.
 *
 * @property int $id
 * @property int $person_id
 * @property ?int $offer_id
 * @property ?int $bundle_id
 * @property int $cents
 * @property string $currency
 * @property ?PaidEvery $every null: it was paid for once
 * @property 'paid'|'missed'|'refunded' $state
 * @property int $payments how many have come, counted by the shop
 * @property ?\DateTimeImmutable $counts_from the instant from which payments carry a membership on
 * @property int $counts_after payments before that instant
 * @property ?\DateTimeImmutable $paid_until of a membership
 * @property \DateTimeImmutable $bought_at
 * @property Person $person
 * @property ?Offer $offer
 * @property ?Bundle $bundle
 */
final class Purchase extends Record
{
    protected $table = 'purchases';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['every' => PaidEvery::class, 'counts_from' => UtcInstant::class, 'paid_until' => UtcInstant::class, 'bought_at' => UtcInstant::class];

    protected $attributes = ['state' => 'paid', 'payments' => 1, 'counts_after' => 0];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<Bundle, $this> */
    public function bundle(): BelongsTo
    {
        return $this->belongsTo(Bundle::class);
    }

    public function name(): string
    {
        return $this->offer->name ?? $this->bundle->name ?? '';
    }
}

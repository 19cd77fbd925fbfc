<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * Something that the shop told of a purchase.
 *
 * @property int $id
 * @property string $event as the shop numbers it: the same one twice is one
 * @property int $purchase_id
 * @property 'payment'|'missed'|'refund' $kind
 * @property ?int $payment which one it is about
 * @property string $did what came of it, in words
 * @property \DateTimeImmutable $received_at
 */
final class ShopEvent extends Record
{
    protected $table = 'shop_events';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['received_at' => UtcInstant::class];
}

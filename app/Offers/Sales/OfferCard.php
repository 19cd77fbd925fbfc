<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use OpenApi\Attributes as OA;

/** An offer that really opens something to whoever reads it. */
#[OA\Schema]
final readonly class OfferCard
{
    /**
     * @param  bool  $free  it is claimed, not bought
     * @param  'pass'|'renewal'|'upgrade'|'bundle'  $as  what it is to them
     * @param  string  $detail  when it opens what was asked for, how long it lasts
     * @param  string  $href  of the checkout
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public string $price,
        #[OA\Property] public bool $free,
        #[OA\Property(enum: ['pass', 'renewal', 'upgrade', 'bundle'])] public string $as,
        #[OA\Property] public string $detail,
        #[OA\Property] public string $href,
    ) {
    }
}

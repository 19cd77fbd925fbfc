<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use App\Models\PaidEvery;
use OpenApi\Attributes as OA;

/** Several offers at one price. */
#[OA\Schema]
final readonly class BundleRow
{
    /**
     * @param  ?float  $price  in whole units; 0: free, null: not sold
     * @param  list<string>  $offers  keys
     * @param  list<string>  $names  of these offers, each with its course
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public ?float $price,
        #[OA\Property] public string $currency,
        #[OA\Property] public string $priceWords,
        #[OA\Property(enum: PaidEvery::class)] public ?string $every,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $offers,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $names,
        #[OA\Property] public int $bought,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use App\Access\Shelf\OfferPick;
use OpenApi\Attributes as OA;

/** Where people are brought in: one by one, or from a file. */
#[OA\Schema]
final readonly class ImportsPage
{
    /**
     * @param  list<OfferPick>  $offers
     * @param  list<ImportLine>  $imports  the latest first
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property(items: new OA\Items(ref: ImportLine::class))] public array $imports,
    ) {
    }
}

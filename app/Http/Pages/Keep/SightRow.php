<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** The cells of one row. */
#[OA\Schema]
final readonly class SightRow
{
    /**
     * @param  list<Sight>  $cells  in the order of the vantages
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: Sight::class))] public array $cells,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Access\Shelf;

use OpenApi\Attributes as OA;

/** An offer of a course, to be chosen or paced. */
#[OA\Schema]
final readonly class OfferPick
{
    /** @param  ?string  $plan  the release plan that paces it; null: all at once */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public ?string $plan,
    ) {
    }
}

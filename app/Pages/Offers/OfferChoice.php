<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use OpenApi\Attributes as OA;

/** An offer of the school, to be chosen where several of them are meant. */
#[OA\Schema]
final readonly class OfferChoice
{
    /** @param  string  $course  its title */
    public function __construct(#[OA\Property] public string $key, #[OA\Property] public string $name, #[OA\Property] public string $course)
    {
    }
}

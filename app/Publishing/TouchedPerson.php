<?php

declare(strict_types=1);

namespace App\Publishing;

use OpenApi\Attributes as OA;

/** One of those whom a publication touches in one way. */
#[OA\Schema]
final readonly class TouchedPerson
{
    /** @param  ?string  $with  of an observer: whom they look in on */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public ?string $with,
    ) {
    }
}

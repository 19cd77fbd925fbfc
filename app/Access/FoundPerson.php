<?php

declare(strict_types=1);

namespace App\Access;

use OpenApi\Attributes as OA;

/** Somebody who was searched for. */
#[OA\Schema]
final readonly class FoundPerson
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
    ) {
    }
}

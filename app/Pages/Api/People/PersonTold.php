<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** Somebody of the school. */
#[OA\Schema]
final readonly class PersonTold
{
    /**
     * @param  bool  $confirmed  whether they have shown that the address is theirs, or were brought in by the school
     * @param  bool  $staff  whether they run the school or help in it
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public bool $confirmed,
        #[OA\Property] public bool $staff,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** A system of others. */
#[OA\Schema]
final readonly class OutsideRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $version,
        #[OA\Property] public string $name,
        #[OA\Property] public string $address,
        #[OA\Property] public bool $on,
        #[OA\Property] public int $waiting,
        #[OA\Property] public int $failed,
    ) {
    }
}

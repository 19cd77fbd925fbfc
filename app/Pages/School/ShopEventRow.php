<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** Something that the shop has told, and what came of it. */
#[OA\Schema]
final readonly class ShopEventRow
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $when,
        #[OA\Property] public string $told,
        #[OA\Property] public string $did,
    ) {
    }
}

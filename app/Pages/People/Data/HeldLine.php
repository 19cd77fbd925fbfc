<?php

declare(strict_types=1);

namespace App\Pages\People\Data;

use OpenApi\Attributes as OA;

/** What a table holds of somebody. */
#[OA\Schema]
final readonly class HeldLine
{
    /** @param  string  $then  what becomes of it when they are erased */
    public function __construct(
        #[OA\Property] public string $what,
        #[OA\Property] public int $rows,
        #[OA\Property] public string $then,
    ) {
    }
}

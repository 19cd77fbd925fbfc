<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use OpenApi\Attributes as OA;

/** How far a file has come. */
#[OA\Schema]
final readonly class ImportProgress
{
    public function __construct(#[OA\Property] public string $state, #[OA\Property] public int $read, #[OA\Property] public int $in)
    {
    }
}

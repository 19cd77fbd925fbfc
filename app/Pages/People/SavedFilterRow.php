<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** A filter of people under a name, of the one who reads. */
#[OA\Schema]
final readonly class SavedFilterRow
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name, #[OA\Property] public string $query)
    {
    }
}

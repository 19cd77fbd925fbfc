<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use OpenApi\Attributes as OA;

/** A file that was brought in, or was to be. */
#[OA\Schema]
final readonly class ImportLine
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name, #[OA\Property] public string $when, #[OA\Property] public string $state, #[OA\Property] public bool $goesOn, #[OA\Property] public string $told)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use OpenApi\Attributes as OA;

/** A shared notice to choose. */
#[OA\Schema]
final readonly class SharedPick
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name)
    {
    }
}

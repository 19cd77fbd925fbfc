<?php

declare(strict_types=1);

namespace App\Pages\School\Kept;

use OpenApi\Attributes as OA;

/** How many people would be erased now, were they kept for so long. */
#[OA\Schema]
final readonly class DepartedCount
{
    public function __construct(#[OA\Property] public int $people)
    {
    }
}

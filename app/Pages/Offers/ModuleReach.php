<?php

declare(strict_types=1);

namespace App\Pages\Offers;

use OpenApi\Attributes as OA;

/** How many of a module's lessons an offer opens, and how many there are. */
#[OA\Schema]
final readonly class ModuleReach
{
    public function __construct(#[OA\Property] public int $open, #[OA\Property] public int $all)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use OpenApi\Attributes as OA;

/** Where somebody may be in a course. */
#[OA\Schema]
final readonly class PlaceTold
{
    /** @param  string  $key  of a top item; empty: all is done */
    public function __construct(#[OA\Property] public string $key, #[OA\Property] public string $title)
    {
    }
}

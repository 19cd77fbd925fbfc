<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use OpenApi\Attributes as OA;

/** Something that stands in braces for a name or a date. */
#[OA\Schema]
final readonly class PlaceholderRow
{
    public function __construct(#[OA\Property] public string $name, #[OA\Property] public string $means)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Pages\Shared;

use OpenApi\Attributes as OA;

/** The school, on every page. */
#[OA\Schema]
final readonly class SchoolHead
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $zoneName,
    ) {
    }
}

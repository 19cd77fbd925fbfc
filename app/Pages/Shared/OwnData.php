<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** How somebody takes out what is kept of them, in words. */
#[OA\Schema]
final readonly class OwnData
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public string $takeOut,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** Something that was handed to somebody. */
#[OA\Schema]
final readonly class HeldGrant
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $course,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $from,
        #[OA\Property] public ?string $until,
        #[OA\Property] public bool $active,
    ) {
    }
}

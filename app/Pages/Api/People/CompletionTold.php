<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** What somebody has finished. */
#[OA\Schema]
final readonly class CompletionTold
{
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $item,
        #[OA\Property(format: 'date-time')] public string $at,
    ) {
    }
}

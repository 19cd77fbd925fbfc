<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use OpenApi\Attributes as OA;

/** How far a long rehearsal has come. */
#[OA\Schema]
final readonly class RehearsalProgress
{
    public function __construct(
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public bool $finished,
    ) {
    }
}

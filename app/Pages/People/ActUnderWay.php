<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** An act on many people that is not finished yet. */
#[OA\Schema]
final readonly class ActUnderWay
{
    /** @param  string  $state  preparing, prepared or undoing */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $told,
        #[OA\Property(enum: ['preparing', 'prepared', 'undoing'])] public string $state,
        #[OA\Property] public int $of,
    ) {
    }
}

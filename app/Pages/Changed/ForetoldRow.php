<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Foresight\Effect;

/** How many people were to be touched in one way, and how many were. */
#[OA\Schema]
final readonly class ForetoldRow
{
    public function __construct(
        #[OA\Property(enum: Effect::class)] public string $effect,
        #[OA\Property] public string $words,
        #[OA\Property] public int $foretold,
        #[OA\Property] public int $came,
    ) {
    }
}

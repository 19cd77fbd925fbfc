<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** A label that somebody has. */
#[OA\Schema]
final readonly class LabelLine
{
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public string $source,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** A drawing that may stand on a cover. */
#[OA\Schema]
final readonly class DrawingChoice
{
    /** @param  string  $drawing  empty: whichever is that of its key */
    public function __construct(#[OA\Property] public string $drawing, #[OA\Property] public string $label, #[OA\Property] public string $address)
    {
    }
}

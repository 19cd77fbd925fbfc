<?php

declare(strict_types=1);

namespace App\Pages\School;

use OpenApi\Attributes as OA;

/** What stands over the courses of the school, as its form edits it. */
#[OA\Schema]
final readonly class SchoolFront
{
    /** @param  string  $picture  token; empty: it is drawn */
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public string $text,
        #[OA\Property] public string $picture,
        #[OA\Property] public int $focusX,
        #[OA\Property] public int $focusY,
    ) {
    }
}

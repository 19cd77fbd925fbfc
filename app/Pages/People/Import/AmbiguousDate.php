<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use OpenApi\Attributes as OA;

/** A date of a file that could be two days. */
#[OA\Schema]
final readonly class AmbiguousDate
{
    /** @param  ?string  $order  what was said of it: dmy or mdy */
    public function __construct(
        #[OA\Property] public string $text,
        #[OA\Property] public string $dayFirst,
        #[OA\Property] public string $monthFirst,
        #[OA\Property] public ?string $order,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** Something that happened to somebody. */
#[OA\Schema]
final readonly class HistoryLine
{
    /** @param  string  $instant  of $when, as RFC 3339 has it */
    public function __construct(
        #[OA\Property] public string $when,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $by,
        #[OA\Property] public string $instant,
    ) {
    }
}

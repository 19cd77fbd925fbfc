<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** Something that happened to somebody. */
#[OA\Schema]
final readonly class HistoryLine
{
    public function __construct(
        #[OA\Property] public string $when,
        #[OA\Property] public string $words,
        #[OA\Property] public ?string $by,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use OpenApi\Attributes as OA;

/** What a row of a file would do. */
#[OA\Schema]
final readonly class ImportOutcome
{
    public function __construct(
        #[OA\Property] public int $line,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public string $outcome,
        #[OA\Property] public string $gets,
    ) {
    }
}

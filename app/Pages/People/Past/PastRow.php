<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** A row of a course, as it is now, or as it was last. */
#[OA\Schema]
final readonly class PastRow
{
    /** @param  bool  $former  it is not in the course any more */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public int $depth,
        #[OA\Property] public bool $former,
    ) {
    }
}

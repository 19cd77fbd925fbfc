<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Words\Glyph;
use OpenApi\Attributes as OA;

/** What a row is like from an instant on. */
#[OA\Schema]
final readonly class PastChange
{
    /**
     * @param  int  $row  its place
     * @param  int  $reason  likewise
     */
    public function __construct(
        #[OA\Property] public int $row,
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public int $reason,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** An item, and what it holds. */
#[OA\Schema]
final readonly class ContentRow
{
    /**
     * @param  string  $holds  in words; empty: nothing yet
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public int $depth,
        #[OA\Property] public string $holds,
    ) {
    }
}

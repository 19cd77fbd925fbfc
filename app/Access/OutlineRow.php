<?php

declare(strict_types=1);

namespace App\Access;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** A row of the grid: the same in every lens. */
#[OA\Schema]
final readonly class OutlineRow
{
    /**
     * @param  string  $kind  module, lesson, part or board
     * @param  int  $depth  0 at the top
     * @param  bool  $draft  itself, or what it stands in
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public int $depth,
        #[OA\Property] public bool $draft,
    ) {
    }
}

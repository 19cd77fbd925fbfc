<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use OpenApi\Attributes as OA;

/** Something that is said in a recording. */
#[OA\Schema]
final readonly class Cue
{
    /** @param  float  $at  seconds from the beginning */
    public function __construct(#[OA\Property] public float $at, #[OA\Property] public string $words)
    {
    }
}

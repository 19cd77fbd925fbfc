<?php

declare(strict_types=1);

namespace App\Sightlines;

use OpenApi\Attributes as OA;

/** An instant at which other rules went live. */
#[OA\Schema]
final readonly class RevisionMark
{
    /** @param  string  $words  which rules these were */
    public function __construct(#[OA\Property] public int $at, #[OA\Property] public int $number, #[OA\Property] public string $words)
    {
    }
}

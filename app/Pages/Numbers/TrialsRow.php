<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use OpenApi\Attributes as OA;

/** How trials went in a week. */
#[OA\Schema]
final readonly class TrialsRow
{
    /** @param  string  $when  the day on which it began, short, for an axis */
    public function __construct(#[OA\Property] public string $when, #[OA\Property] public int $begun, #[OA\Property] public int $ended, #[OA\Property] public int $taken)
    {
    }
}

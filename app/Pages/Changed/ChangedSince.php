<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** A revision since which it can be asked. */
#[OA\Schema]
final readonly class ChangedSince
{
    /** @param  string  $wall  just before it went live, on the school's wall clock */
    public function __construct(#[OA\Property] public int $number, #[OA\Property] public string $at, #[OA\Property] public string $wall)
    {
    }
}

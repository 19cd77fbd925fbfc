<?php

declare(strict_types=1);

namespace App\Pages\Today;

use OpenApi\Attributes as OA;

/** A day of the week as a column. */
#[OA\Schema]
final readonly class AgendaDay
{
    /** @param  string  $date  of the school's calendar */
    public function __construct(
        #[OA\Property] public string $date,
        #[OA\Property] public string $words,
        #[OA\Property] public bool $today,
        #[OA\Property] public bool $past,
    ) {
    }
}

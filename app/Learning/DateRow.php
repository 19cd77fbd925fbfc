<?php

declare(strict_types=1);

namespace App\Learning;

use OpenApi\Attributes as OA;

/** An opening or a closing that is to come. */
#[OA\Schema]
final readonly class DateRow
{
    /**
     * @param  string  $at  in words
     * @param  string  $instant  the same, as RFC 3339 has it
     */
    public function __construct(
        #[OA\Property] public string $at,
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $opens,
        #[OA\Property] public string $instant,
    ) {
    }
}

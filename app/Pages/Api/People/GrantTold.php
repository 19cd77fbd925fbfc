<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** A permission for one item, and all inside it. */
#[OA\Schema]
final readonly class GrantTold
{
    /** @param  ?string  $until  null: for good */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $course,
        #[OA\Property] public string $item,
        #[OA\Property(format: 'date-time')] public string $from,
        #[OA\Property(format: 'date-time')] public ?string $until,
    ) {
    }
}

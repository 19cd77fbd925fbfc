<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** A label that somebody has now. */
#[OA\Schema]
final readonly class LabelTold
{
    /**
     * @param  ?string  $until  null: for good
     * @param  bool  $by_pass  whether a pass gives it, for as long as it is active
     * @param  string  $source  what gave it
     */
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property(format: 'date-time')] public ?string $until,
        #[OA\Property] public bool $by_pass,
        #[OA\Property] public string $source,
    ) {
    }
}

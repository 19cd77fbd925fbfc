<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** A label that somebody has. */
#[OA\Schema]
final readonly class LabelLine
{
    /**
     * @param  string  $source  what gave it
     * @param  bool  $byPass  for as long as a pass of that offer is active: it cannot be taken away by itself
     * @param  ?string  $until  in words; null: for good
     */
    public function __construct(
        #[OA\Property] public string $label,
        #[OA\Property] public string $source,
        #[OA\Property] public bool $byPass,
        #[OA\Property] public ?string $until,
    ) {
    }
}

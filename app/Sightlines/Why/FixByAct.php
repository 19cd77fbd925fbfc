<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use OpenApi\Attributes as OA;

/** What can be done to a real person so that an item opens to them, as it is asked for. */
#[OA\Schema]
final readonly class FixByAct
{
    /** @param  string  $do  as acts on people are named */
    public function __construct(
        #[OA\Property] public string $do,
        #[OA\Property] public string $button,
        #[OA\Property] public ?string $course = null,
        #[OA\Property] public ?string $item = null,
        #[OA\Property] public ?string $offer = null,
        #[OA\Property] public ?string $label = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Pages\Keep;

use OpenApi\Attributes as OA;

/** A column of Sightlines: somebody who looks. */
#[OA\Schema]
final readonly class Vantage
{
    /**
     * @param  ?string  $offer  the key of the offer whose pass is held
     * @param  ?int  $day  how many days ago the pass began
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public ?string $offer,
        #[OA\Property] public ?int $day,
    ) {
    }
}

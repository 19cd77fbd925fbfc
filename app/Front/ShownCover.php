<?php

declare(strict_types=1);

namespace App\Front;

use OpenApi\Attributes as OA;

/** The cover of a course as a page shows it, be it a picture or drawn: cut to the frame around what is to be kept in view. */
#[OA\Schema]
final readonly class ShownCover
{
    /**
     * @param  string  $alt  what it shows, for whoever does not see it; empty: nothing is lost without it
     * @param  ?string  $sources  as `srcset` has it; null: it is drawn, and fits any width
     * @param  string  $focus  as `object-position` has it
     */
    public function __construct(
        #[OA\Property] public string $address,
        #[OA\Property] public ?string $sources,
        #[OA\Property] public string $alt,
        #[OA\Property] public string $focus,
    ) {
    }
}

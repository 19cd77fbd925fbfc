<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\School\Pictures\ShownPicture;
use OpenApi\Attributes as OA;

/** Another course that its reader may take. */
#[OA\Schema]
final readonly class RelatedCard
{
    /**
     * @param  string  $html  sanitised
     * @param  string  $href  of its offer, or of the course where there are several
     * @param  string  $offer  name of the first of its offers
     * @param  string  $price  of that, in words
     * @param  bool  $several  whether there are more offers than that
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public string $heading,
        #[OA\Property] public string $html,
        #[OA\Property] public string $button,
        #[OA\Property] public string $href,
        #[OA\Property] public string $offer,
        #[OA\Property] public string $price,
        #[OA\Property] public bool $several,
        #[OA\Property] public ?ShownPicture $picture,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Front\ShownCover;
use OpenApi\Attributes as OA;

/** A course as the front shows it. */
#[OA\Schema]
final readonly class FrontCourse
{
    /**
     * @param  string  $key  its address
     * @param  string  $subject  by which the front can be narrowed; empty: none
     * @param  string  $takes  how much there is, and how fast it opens
     * @param  bool  $mine  they have it
     * @param  string  $state  what it costs them, or how far they are
     * @param  string  $act  what to do next, and where
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $subject,
        #[OA\Property] public ShownCover $cover,
        #[OA\Property] public string $takes,
        #[OA\Property] public bool $mine,
        #[OA\Property] public string $state,
        #[OA\Property] public string $act,
        #[OA\Property] public string $href,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Pages\Learner;

use OpenApi\Attributes as OA;

/** A course as its learner sees it. */
#[OA\Schema]
final readonly class CoursePage
{
    /**
     * @param  ?PathRow  $next  the next step
     * @param  list<OfferCard>  $offers  for those who hold no pass
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public ?PathRow $next,
        #[OA\Property(items: new OA\Items(ref: OfferCard::class))] public array $offers,
    ) {
    }
}

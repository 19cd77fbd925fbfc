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
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public ?PathRow $next,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Pages\Learner;

use OpenApi\Attributes as OA;

/** The courses that one may enter. */
#[OA\Schema]
final readonly class MyCoursesPage
{
    /**
     * @param  list<MyCourse>  $courses
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: MyCourse::class))] public array $courses,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;

/** The list of courses. */
#[OA\Schema]
final readonly class CoursesPage
{
    /**
     * @param  list<CourseRow>  $courses
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: CourseRow::class))] public array $courses,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}

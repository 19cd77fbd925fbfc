<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** Courses, in the order in which they were made. */
#[OA\Schema]
final readonly class CourseList
{
    /**
     * @param  list<CourseTold>  $items
     * @param  ?string  $next  cursor of what follows; null: that was all
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: CourseTold::class))] public array $items,
        #[OA\Property] public ?string $next,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;

/** Every publication of a course, the newest first. */
#[OA\Schema]
final readonly class HistoryPage
{
    /**
     * @param  list<RevisionRow>  $revisions
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(items: new OA\Items(ref: RevisionRow::class))] public array $revisions,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}

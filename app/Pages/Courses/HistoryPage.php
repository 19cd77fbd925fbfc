<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Pages\Rehearsal\GivenUpRow;
use OpenApi\Attributes as OA;

/** Every publication of a course, the newest first. */
#[OA\Schema]
final readonly class HistoryPage
{
    /**
     * @param  list<RevisionRow>  $revisions
     * @param  list<GivenUpRow>  $givenUp  within the last day, the last first
     */
    public function __construct(
        #[OA\Property] public CourseHead $course,
        #[OA\Property(items: new OA\Items(ref: RevisionRow::class))] public array $revisions,
        #[OA\Property(items: new OA\Items(ref: GivenUpRow::class))] public array $givenUp,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}

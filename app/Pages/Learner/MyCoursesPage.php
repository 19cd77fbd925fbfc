<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\FoundPerson;
use OpenApi\Attributes as OA;

/** The courses that one may enter. */
#[OA\Schema]
final readonly class MyCoursesPage
{
    /**
     * @param  list<MyCourse>  $courses
     * @param  list<FoundPerson>  $learners  with whom they may look
     * @param  ?int  $observed  with whom they do
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: MyCourse::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: FoundPerson::class))] public array $learners,
        #[OA\Property] public ?int $observed,
    ) {
    }
}

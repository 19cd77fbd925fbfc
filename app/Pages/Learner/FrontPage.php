<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** The public list of courses. */
#[OA\Schema]
final readonly class FrontPage
{
    /**
     * @param  list<FrontCourse>  $courses
     * @param  list<FrontCourse>  $over  that are over, and are named all the same
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: FrontCourse::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: FrontCourse::class))] public array $over,
    ) {
    }
}

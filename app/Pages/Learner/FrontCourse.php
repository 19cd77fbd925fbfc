<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** A course in the public list. */
#[OA\Schema]
final readonly class FrontCourse
{
    /**
     * @param  string  $key  its address
     * @param  string  $entry  how one gets in, in words
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public int $lessons,
        #[OA\Property] public int $open,
        #[OA\Property] public string $entry,
    ) {
    }
}

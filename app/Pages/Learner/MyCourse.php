<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** A course that one may enter. */
#[OA\Schema]
final readonly class MyCourse
{
    /**
     * @param  string  $detail  the pass, and until when
     * @param  int  $more  optional lessons that are not finished
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $detail,
        #[OA\Property] public int $lessons,
        #[OA\Property] public int $finished,
        #[OA\Property] public int $more,
    ) {
    }
}

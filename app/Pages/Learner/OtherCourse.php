<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** A course that is named on another page. */
#[OA\Schema]
final readonly class OtherCourse
{
    /**
     * @param  string  $key  its address
     * @param  string  $told  what it costs; empty: it is over
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
    ) {
    }
}

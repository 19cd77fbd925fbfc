<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** One thing that is wrong with a plan document. */
#[OA\Schema]
final readonly class PlanOffence
{
    /** @param  string  $pointer  JSON pointer to it, or to where what is missing would stand */
    public function __construct(#[OA\Property] public string $pointer, #[OA\Property] public string $detail)
    {
    }
}

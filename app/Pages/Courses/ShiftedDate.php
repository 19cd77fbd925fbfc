<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;

/** A date of a course, as it is and as it would be. */
#[OA\Schema]
final readonly class ShiftedDate
{
    /**
     * @param  string  $what  happens then, in words
     * @param  ?string  $plan  the release plan in which it stands, where there are several
     * @param  bool  $holiday  whether it would be on one
     */
    public function __construct(#[OA\Property] public string $what, #[OA\Property] public ?string $plan, #[OA\Property] public string $before, #[OA\Property] public string $after, #[OA\Property] public bool $holiday)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Staff;

use OpenApi\Attributes as OA;

/** A course that somebody may be given to edit. */
#[OA\Schema]
final readonly class StaffCourse
{
    public function __construct(#[OA\Property] public string $key, #[OA\Property] public string $title)
    {
    }
}

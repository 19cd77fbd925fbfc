<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;

/** One publication of a course. */
#[OA\Schema]
final readonly class RevisionTold
{
    /** @param  ?string  $author  name of whoever published it */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(format: 'date-time')] public string $published_at,
        #[OA\Property] public ?string $author,
        #[OA\Property] public ?string $note,
    ) {
    }
}

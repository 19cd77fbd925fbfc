<?php

declare(strict_types=1);

namespace App\Pages\Api\Courses;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\CourseState;

/** A course, as far as it is published. */
#[OA\Schema]
final readonly class CourseTold
{
    /**
     * @param  string  $state  as it is published; `draft` where it never was
     * @param  ?int  $revision  number of the one that is live
     * @param  ?string  $published_at  when that was published
     * @param  bool  $has_draft  whether something waits to be published
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: CourseState::class)] public string $state,
        #[OA\Property] public ?int $revision,
        #[OA\Property(format: 'date-time')] public ?string $published_at,
        #[OA\Property] public bool $has_draft,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\CourseState;

/** A line of the list of courses. */
#[OA\Schema]
final readonly class CourseRow
{
    /**
     * @param  string  $state  draft, live or retired
     * @param  string  $entry  in words
     * @param  int  $holders  people with a pass that is active now
     * @param  ?int  $revision  the number of the live one
     * @param  ?string  $publishedAt  in words
     * @param  int  $changes  how many wait in the draft
     * @param  ?string  $goesLive  the time set for the draft, in words
     * @param  bool  $notPublished  the draft should have gone live and did not
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: CourseState::class)] public string $state,
        #[OA\Property] public string $entry,
        #[OA\Property] public int $lessons,
        #[OA\Property] public int $holders,
        #[OA\Property] public ?int $revision,
        #[OA\Property] public ?string $publishedAt,
        #[OA\Property] public int $changes,
        #[OA\Property] public ?string $goesLive,
        #[OA\Property] public bool $notPublished,
    ) {
    }
}

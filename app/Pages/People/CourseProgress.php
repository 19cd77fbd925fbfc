<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** How far somebody has come in a course. */
#[OA\Schema]
final readonly class CourseProgress
{
    /**
     * @param  list<string>  $begun  what is under way, in words
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public int $finished,
        #[OA\Property] public int $lessons,
        #[OA\Property] public ?string $last,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $begun,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Pages\Learner;

use OpenApi\Attributes as OA;

/** An open lesson, part or board. */
#[OA\Schema]
final readonly class LessonPage
{
    /**
     * @param  string  $html  sanitised
     * @param  string  $finish  mark, visit, watch or quiz; none where this viewer cannot finish it
     * @param  ?PathRow  $next  the next open item
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public PathRow $item,
        #[OA\Property] public string $html,
        #[OA\Property] public string $finish,
        #[OA\Property] public ?PathRow $next,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Learning\Contents\MediumCard;
use App\Learning\CourseFrame;
use App\Learning\PathRow;
use App\Learning\Quizzes\QuizCard;
use App\Learning\Watching\WatchCard;
use OpenApi\Attributes as OA;

/** An open lesson or part. */
#[OA\Schema]
final readonly class LessonPage
{
    /**
     * @param  string  $html  sanitised
     * @param  string  $finish  mark, visit, watch or quiz; none where this viewer cannot finish it
     * @param  list<MediumCard>  $media
     * @param  list<PathRow>  $parts  of this lesson
     * @param  ?PathRow  $before  the open item before it
     * @param  ?PathRow  $after  what comes after it, open or not
     * @param  ?PathRow  $next  the next open item that is still to be done
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public PathRow $item,
        #[OA\Property] public string $html,
        #[OA\Property(enum: ['none', 'mark', 'visit', 'watch', 'quiz'])] public string $finish,
        #[OA\Property(items: new OA\Items(ref: MediumCard::class))] public array $media,
        #[OA\Property] public ?QuizCard $quiz,
        #[OA\Property] public ?WatchCard $watch,
        #[OA\Property(items: new OA\Items(ref: PathRow::class))] public array $parts,
        #[OA\Property] public ?PathRow $before,
        #[OA\Property] public ?PathRow $after,
        #[OA\Property] public ?PathRow $next,
        #[OA\Property] public ?RelatedCard $related,
    ) {
    }
}

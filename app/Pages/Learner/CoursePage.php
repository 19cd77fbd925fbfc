<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Learning\CourseFrame;
use App\Learning\DateRow;
use App\Learning\PathRow;
use App\Offers\Sales\OfferCard;
use App\Pages\Learner\Closed\ClosingWords;
use OpenApi\Attributes as OA;

/** A course as its learner sees it. */
#[OA\Schema]
final readonly class CoursePage
{
    /**
     * @param  ?PathRow  $next  the next step
     * @param  ?PathRow  $last  where they were last, as long as it is open and to be done
     * @param  ?DateRow  $opens  what opens next by time, for those who are in
     * @param  string  $about  what it is, sanitised
     * @param  int  $videos  lessons with one, among those that may be known of
     * @param  int  $quizzes  likewise
     * @param  list<OfferCard>  $offers  that they may take
     * @param  ?ClosingWords  $closing  where the course is over, or is given no more
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public ?PathRow $next,
        #[OA\Property] public ?PathRow $last,
        #[OA\Property] public ?DateRow $opens,
        #[OA\Property] public string $about,
        #[OA\Property] public int $videos,
        #[OA\Property] public int $quizzes,
        #[OA\Property(items: new OA\Items(ref: OfferCard::class))] public array $offers,
        #[OA\Property] public ?ClosingWords $closing,
        #[OA\Property] public ?RelatedCard $related,
    ) {
    }
}

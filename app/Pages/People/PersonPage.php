<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\FoundPerson;
use App\Access\Shelf\CoursePick;
use App\Access\Shelf\OfferPick;
use App\Models\Role;
use App\Pages\Shared\LetterChoiceRow;
use OpenApi\Attributes as OA;

/** One person: what they hold, what they have done, and what was done to them. */
#[OA\Schema]
final readonly class PersonPage
{
    /**
     * @param  list<HeldPass>  $passes  the one that began last first
     * @param  list<HeldGrant>  $grants
     * @param  list<LabelLine>  $labels
     * @param  list<FoundPerson>  $observers  who look in on them
     * @param  list<FoundPerson>  $observes  on whom they look in
     * @param  list<CourseProgress>  $progress
     * @param  list<TriedQuiz>  $quizzes  the last tried first
     * @param  list<HistoryLine>  $history  the latest first
     * @param  list<CoursePick>  $courses
     * @param  list<OfferPick>  $offers
     * @param  list<LetterChoiceRow>  $letters  that the school writes
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: Role::class)] public ?string $role,
        #[OA\Property] public ?string $seen,
        #[OA\Property(items: new OA\Items(ref: HeldPass::class))] public array $passes,
        #[OA\Property(items: new OA\Items(ref: HeldGrant::class))] public array $grants,
        #[OA\Property(items: new OA\Items(ref: LabelLine::class))] public array $labels,
        #[OA\Property(items: new OA\Items(ref: FoundPerson::class))] public array $observers,
        #[OA\Property(items: new OA\Items(ref: FoundPerson::class))] public array $observes,
        #[OA\Property(items: new OA\Items(ref: CourseProgress::class))] public array $progress,
        #[OA\Property(items: new OA\Items(ref: TriedQuiz::class))] public array $quizzes,
        #[OA\Property(items: new OA\Items(ref: HistoryLine::class))] public array $history,
        #[OA\Property(items: new OA\Items(ref: CoursePick::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property] public bool $mayRun,
        #[OA\Property(items: new OA\Items(ref: LetterChoiceRow::class))] public array $letters,
        #[OA\Property] public bool $erased,
    ) {
    }
}

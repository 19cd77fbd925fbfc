<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use OpenApi\Attributes as OA;

/** The quiz of an open lesson. */
#[OA\Schema]
final readonly class QuizCard
{
    /**
     * @param  list<QuizQuestion>  $questions
     * @param  ?int  $needed  per cent to be reached; null: nothing depends on it
     * @param  ?int  $best  per cent reached at best; null: not tried
     * @param  ?int  $last  per cent reached the last time
     * @param  list<int>  $wrong  questions that were wrong the last time
     * @param  bool  $can  this viewer may answer
     * @param  int  $version  of what it asks
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: QuizQuestion::class))] public array $questions,
        #[OA\Property] public ?int $needed,
        #[OA\Property] public ?int $best,
        #[OA\Property] public ?int $last,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $wrong,
        #[OA\Property] public bool $can,
        #[OA\Property] public int $version,
    ) {
    }
}

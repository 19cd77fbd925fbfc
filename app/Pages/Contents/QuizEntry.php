<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use App\Learning\Quizzes\QuestionKind;
use OpenApi\Attributes as OA;

/** A question, with what is right. */
#[OA\Schema]
final readonly class QuizEntry
{
    /**
     * @param  list<string>  $answers
     * @param  list<int>  $right  which of them, where they are chosen
     * @param  list<string>  $told  what is said of each; of a number or words: of what is right, and of what is not
     * @param  string  $within  how far from a number is right too
     */
    public function __construct(
        #[OA\Property(enum: QuestionKind::class)] public string $kind,
        #[OA\Property] public string $ask,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $answers,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $right,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $told,
        #[OA\Property] public string $within,
    ) {
    }
}

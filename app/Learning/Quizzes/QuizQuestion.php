<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use OpenApi\Attributes as OA;

/** A question, without what is right. */
#[OA\Schema]
final readonly class QuizQuestion
{
    /**
     * @param  int  $place  among the questions of the quiz, whatever the order in which they are asked
     * @param  list<string>  $answers  to choose from; none where something is typed
     * @param  bool  $several  more than one of them may be right
     * @param  bool  $wrong  it was the last time
     * @param  list<string>  $told  what is said of what they answered the last time
     */
    public function __construct(
        #[OA\Property] public int $place,
        #[OA\Property(enum: QuestionKind::class)] public string $kind,
        #[OA\Property] public string $ask,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $answers,
        #[OA\Property] public bool $several,
        #[OA\Property] public bool $wrong,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $told,
    ) {
    }
}

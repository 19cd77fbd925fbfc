<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use OpenApi\Attributes as OA;

/** A question, without what is right. */
#[OA\Schema]
final readonly class QuizQuestion
{
    /**
     * @param  list<string>  $answers
     * @param  bool  $several  more than one of them may be right
     */
    public function __construct(
        #[OA\Property] public string $ask,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $answers,
        #[OA\Property] public bool $several,
    ) {
    }
}

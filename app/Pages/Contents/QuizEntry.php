<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** A question, with what is right. */
#[OA\Schema]
final readonly class QuizEntry
{
    /**
     * @param  list<string>  $answers
     * @param  list<int>  $right  which of them
     */
    public function __construct(
        #[OA\Property] public string $ask,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $answers,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $right,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use OpenApi\Attributes as OA;

/** The quiz of an open lesson. */
#[OA\Schema]
final readonly class QuizCard
{
    /**
     * @param  list<QuizQuestion>  $questions  in the order in which they are asked
     * @param  ?int  $needed  per cent to be reached; null: nothing depends on it
     * @param  ?int  $best  per cent reached at best; null: not tried
     * @param  ?int  $last  per cent reached the last time
     * @param  string  $band  what that is called; empty: it has no name
     * @param  string  $bandWords  what the school says of it
     * @param  ?int  $left  tries that are left; null: as many as one likes
     * @param  ?string  $again  when it may be tried again, where not now, in words
     * @param  ?int  $againIn  seconds until then
     * @param  bool  $can  this viewer may answer now
     * @param  int  $version  of what it asks
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: QuizQuestion::class))] public array $questions,
        #[OA\Property] public ?int $needed,
        #[OA\Property] public ?int $best,
        #[OA\Property] public ?int $last,
        #[OA\Property] public string $band,
        #[OA\Property] public string $bandWords,
        #[OA\Property] public ?int $left,
        #[OA\Property] public ?string $again,
        #[OA\Property] public ?int $againIn,
        #[OA\Property] public bool $can,
        #[OA\Property] public int $version,
    ) {
    }
}

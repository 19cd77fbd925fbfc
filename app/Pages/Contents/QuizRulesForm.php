<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** How often a quiz is tried and what its results are called, as it is edited. */
#[OA\Schema]
final readonly class QuizRulesForm
{
    /**
     * @param  ?int  $tries  null: as many as one likes
     * @param  int  $wait  minutes from one to the next
     * @param  list<QuizBand>  $bands
     */
    public function __construct(
        #[OA\Property] public ?int $tries,
        #[OA\Property] public int $wait,
        #[OA\Property] public bool $shuffle,
        #[OA\Property(items: new OA\Items(ref: QuizBand::class))] public array $bands,
    ) {
    }
}

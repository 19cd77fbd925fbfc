<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** A quiz that somebody has tried. */
#[OA\Schema]
final readonly class TriedQuiz
{
    /**
     * @param  string  $words  how often, and how it went
     * @param  bool  $held  they may not try it again, or not yet: one more try can be given
     * @param  int  $given  tries that they were given already
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property] public string $words,
        #[OA\Property] public bool $held,
        #[OA\Property] public int $given,
    ) {
    }
}

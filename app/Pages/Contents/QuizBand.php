<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** What a result is called. */
#[OA\Schema]
final readonly class QuizBand
{
    /** @param  int  $from  per cent, from which on */
    public function __construct(#[OA\Property] public int $from, #[OA\Property] public string $name, #[OA\Property] public string $words)
    {
    }
}

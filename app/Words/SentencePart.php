<?php

declare(strict_types=1);

namespace App\Words;

use OpenApi\Attributes as OA;

/** A stretch of a sentence; titles and names stand out from the words around them. */
#[OA\Schema]
final readonly class SentencePart
{
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public bool $title = false)
    {
    }
}

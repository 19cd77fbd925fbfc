<?php

declare(strict_types=1);

namespace App\Learning;

use OpenApi\Attributes as OA;

/** A pass of a course as its holder reads it. */
#[OA\Schema]
final readonly class PassLine
{
    /** @param  ?string  $left  how long it still lasts, in words; null: for good, or it opens nothing now */
    public function __construct(#[OA\Property] public string $words, #[OA\Property] public ?string $left)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** What is often asked, as it is edited. */
#[OA\Schema]
final readonly class FaceQuestion
{
    /** @param  string  $answer  Markdown */
    public function __construct(#[OA\Property] public string $ask, #[OA\Property] public string $answer)
    {
    }
}

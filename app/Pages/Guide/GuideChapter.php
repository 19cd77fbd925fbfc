<?php

declare(strict_types=1);

namespace App\Pages\Guide;

use OpenApi\Attributes as OA;

/** A part of the guide that can be gone to. */
#[OA\Schema]
final readonly class GuideChapter
{
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public string $title)
    {
    }
}

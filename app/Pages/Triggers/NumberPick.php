<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** Something to choose by its number: a form, or a system of others. */
#[OA\Schema]
final readonly class NumberPick
{
    public function __construct(#[OA\Property] public int $id, #[OA\Property] public string $name)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** A question of a form. */
#[OA\Schema]
final readonly class FormQuestion
{
    public function __construct(#[OA\Property] public string $ask, #[OA\Property] public bool $required)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Api\Formats;

use OpenApi\Attributes as OA;

/** A line of a file that is wrong, and why. */
#[OA\Schema]
final readonly class WrongRow
{
    public function __construct(#[OA\Property] public int $line, #[OA\Property] public string $message)
    {
    }
}

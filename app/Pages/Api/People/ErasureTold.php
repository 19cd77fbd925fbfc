<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use OpenApi\Attributes as OA;

/** Somebody who is erased. */
#[OA\Schema]
final readonly class ErasureTold
{
    /** @param  int  $person  under which number what they did is still counted */
    public function __construct(#[OA\Property] public int $person, #[OA\Property(format: 'date-time')] public string $erased_at)
    {
    }
}

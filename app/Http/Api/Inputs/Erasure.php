<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Who is to be erased. */
#[OA\Schema]
final readonly class Erasure
{
    /** @param  string  $email  their address as the school has it, so that nobody is erased by a wrong number */
    public function __construct(#[OA\Property(minLength: 3, maxLength: 190)] public string $email)
    {
    }
}

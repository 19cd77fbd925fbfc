<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Of whom an event speaks: by id or by address. */
#[OA\Schema]
final readonly class EventPerson
{
    public function __construct(
        #[OA\Property(minimum: 1, maximum: 2147483647)] public ?int $id = null,
        #[OA\Property(minLength: 3, maxLength: 190)] public ?string $email = null,
    ) {
    }
}

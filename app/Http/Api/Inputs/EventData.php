<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** What an event says, and of whom; what it says besides is kept with it. */
#[OA\Schema(additionalProperties: true)]
final readonly class EventData
{
    public function __construct(#[OA\Property] public EventPerson $person)
    {
    }
}

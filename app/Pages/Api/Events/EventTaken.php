<?php

declare(strict_types=1);

namespace App\Pages\Api\Events;

use OpenApi\Attributes as OA;

/** An event was taken. */
#[OA\Schema]
final readonly class EventTaken
{
    /** @param  bool  $again  whether it had come before, and does nothing more */
    public function __construct(#[OA\Property] public string $id, #[OA\Property] public bool $again)
    {
    }
}

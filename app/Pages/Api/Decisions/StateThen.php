<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Deciding\State;

/** The first change of state that time alone will bring. */
#[OA\Schema]
final readonly class StateThen
{
    public function __construct(
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property(enum: State::class)] public string $state,
    ) {
    }
}

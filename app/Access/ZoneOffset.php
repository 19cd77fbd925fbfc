<?php

declare(strict_types=1);

namespace App\Access;

use OpenApi\Attributes as OA;

/** How far the school's wall clock is ahead of UTC from an instant on. */
#[OA\Schema]
final readonly class ZoneOffset
{
    /**
     * @param  int  $since  instant
     * @param  int  $seconds  negative west of Greenwich
     */
    public function __construct(#[OA\Property] public int $since, #[OA\Property] public int $seconds)
    {
    }
}

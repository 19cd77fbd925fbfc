<?php

declare(strict_types=1);

namespace App\Pages\Learner\Outside;

use OpenApi\Attributes as OA;

/** What is often asked of a course, with its answer. */
#[OA\Schema]
final readonly class AskedQuestion
{
    /** @param  string  $html  sanitised */
    public function __construct(#[OA\Property] public string $ask, #[OA\Property] public string $html)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** Asks whether somebody is to be written to no more. */
#[OA\Schema]
final readonly class StopPage
{
    /**
     * @param  string  $course  its title
     * @param  string  $email  that is written to
     */
    public function __construct(#[OA\Property] public string $course, #[OA\Property] public string $email)
    {
    }
}

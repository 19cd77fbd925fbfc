<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** Says that a learner's page is looked at by somebody who stands in for its viewer: nothing on it counts. */
#[OA\Schema]
final readonly class StandIn
{
    /**
     * @param  string  $name  who is stood in for
     * @param  bool  $signedIn  whether they are
     * @param  string  $atWords  the instant that is looked at
     * @param  string  $base  address below which the pages of the course stand
     * @param  string  $query  that goes with each of them
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public bool $signedIn,
        #[OA\Property] public string $atWords,
        #[OA\Property] public string $base,
        #[OA\Property] public string $query,
    ) {
    }
}

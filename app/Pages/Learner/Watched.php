<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** What the server makes of the reports of a player. */
#[OA\Schema]
final readonly class Watched
{
    /**
     * @param  list<string>  $stored  ids of the statements that need not be sent again
     * @param  float  $share  from 0 to 1
     * @param  list<array{float, float}>  $played  seconds, ascending, apart from each other
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $stored,
        #[OA\Property] public float $share,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $played,
        #[OA\Property] public bool $finished,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use OpenApi\Attributes as OA;

/** How far a video that is to be watched has been, as the server believes it. */
#[OA\Schema]
final readonly class WatchCard
{
    /**
     * @param  float  $length  seconds
     * @param  float  $needed  the share that finishes it
     * @param  float  $share  from 0 to 1
     * @param  list<array{float, float}>  $played  seconds, ascending, apart from each other
     * @param  float  $fastest  speed at which it may be played
     * @param  float  $position  seconds; where to go on
     * @param  string  $keep  under which the page keeps reports that are not sent yet
     */
    public function __construct(
        #[OA\Property] public int $medium,
        #[OA\Property] public float $length,
        #[OA\Property] public float $needed,
        #[OA\Property] public float $share,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))] public array $played,
        #[OA\Property] public float $fastest,
        #[OA\Property] public string $keep,
        #[OA\Property] public bool $finished,
        #[OA\Property] public float $position,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** A trigger in the list. */
#[OA\Schema]
final readonly class TriggerRow
{
    /**
     * @param  list<int>  $days  runs of each of the last thirty days, today last
     * @param  int  $waiting  runs that wait, also to be tried again
     * @param  int  $failed  runs that were given up or stopped
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $name,
        #[OA\Property] public bool $on,
        #[OA\Property] public Sentence $sentence,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $days,
        #[OA\Property] public int $waiting,
        #[OA\Property] public int $failed,
    ) {
    }
}

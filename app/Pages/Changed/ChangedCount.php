<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Foresight\Effect;

/** How many people something became otherwise for in one way, and on how many rows. */
#[OA\Schema]
final readonly class ChangedCount
{
    /**
     * @param  string  $words  with the number of people
     * @param  list<ChangedPerson>  $some  of them, by name
     */
    public function __construct(
        #[OA\Property(enum: Effect::class)] public string $effect,
        #[OA\Property] public string $words,
        #[OA\Property] public int $people,
        #[OA\Property] public int $items,
        #[OA\Property(items: new OA\Items(ref: ChangedPerson::class))] public array $some,
    ) {
    }
}

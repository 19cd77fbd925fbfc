<?php

declare(strict_types=1);

namespace App\Publishing;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Foresight\Effect;

/** How many people a publication touches in one way. */
#[OA\Schema]
final readonly class EffectCount
{
    /**
     * @param  string  $effect  lose, pause, gain …
     * @param  string  $words  "lose it now"
     * @param  list<string>  $names  some of them
     * @param  list<int>  $people  who these are, in that order; of observers they, and not whom they look with
     */
    public function __construct(
        #[OA\Property(enum: Effect::class)] public string $effect,
        #[OA\Property] public string $words,
        #[OA\Property] public int $count,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $names,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $people,
    ) {
    }
}

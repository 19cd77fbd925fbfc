<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use OpenApi\Attributes as OA;

/** A change of the rules that is proposed, as it is asked for. */
#[OA\Schema]
final readonly class FixByRule
{
    /** @param  list<string>  $items */
    public function __construct(
        #[OA\Property(enum: FixKind::class)] public string $kind,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $items,
        #[OA\Property] public ?string $plan,
        #[OA\Property] public ?string $tier,
    ) {
    }
}

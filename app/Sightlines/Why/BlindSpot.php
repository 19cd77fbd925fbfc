<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Why a viewer is let in nowhere at all, in one line. */
#[OA\Schema]
final readonly class BlindSpot
{
    /**
     * @param  list<FixByRule>  $fixes  what would fix it; empty where no rule does
     * @param  ?Sentence  $fixed  what they would see then
     */
    public function __construct(
        #[OA\Property] public Sentence $words,
        #[OA\Property(items: new OA\Items(ref: FixByRule::class))] public array $fixes,
        #[OA\Property] public ?Sentence $fixed,
    ) {
    }
}

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
     * @param  list<MendStep>  $mends  what would mend it; empty where no rule does
     * @param  ?Sentence  $mended  what they would see then
     */
    public function __construct(
        #[OA\Property] public Sentence $words,
        #[OA\Property(items: new OA\Items(ref: MendStep::class))] public array $mends,
        #[OA\Property] public ?Sentence $mended,
    ) {
    }
}

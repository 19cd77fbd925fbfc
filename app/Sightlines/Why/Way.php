<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Something that would open a closed item, tried out before it is said. */
#[OA\Schema]
final readonly class Way
{
    /**
     * @param  string  $by  time, learner, offer or school
     * @param  ?Remedy  $remedy  what would be done to a real person; null: it is not done so
     * @param  list<MendStep>  $mends  what would be set in the draft; empty: it is not done by rules
     */
    public function __construct(
        #[OA\Property] public string $by,
        #[OA\Property] public Sentence $title,
        #[OA\Property] public Sentence $words,
        #[OA\Property] public ?WhyLink $link = null,
        #[OA\Property(items: new OA\Items(ref: MendStep::class))] public array $mends = [],
        #[OA\Property] public ?Remedy $remedy = null,
    ) {
    }
}

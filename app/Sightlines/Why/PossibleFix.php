<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Something that would open a closed item, tried out before it is said. */
#[OA\Schema]
final readonly class PossibleFix
{
    /**
     * @param  string  $by  time, learner, offer or school
     * @param  ?FixByAct  $byAct  what would be done to a real person; null: it is not done so
     * @param  list<FixByRule>  $fixes  what would be set in the draft; empty: it is not done by rules
     */
    public function __construct(
        #[OA\Property(enum: ['time', 'learner', 'offer', 'school'])] public string $by,
        #[OA\Property] public Sentence $title,
        #[OA\Property] public Sentence $words,
        #[OA\Property] public ?WhyLink $link = null,
        #[OA\Property(items: new OA\Items(ref: FixByRule::class))] public array $fixes = [],
        #[OA\Property] public ?FixByAct $byAct = null,
    ) {
    }
}

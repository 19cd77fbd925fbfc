<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use App\Publishing\EffectCount;
use OpenApi\Attributes as OA;

/** How far a long rehearsal has come. */
#[OA\Schema]
final readonly class RehearsalProgress
{
    /** @param  list<EffectCount>  $totals  of the people looked at so far, without names */
    public function __construct(
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property] public bool $finished,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $totals,
    ) {
    }
}

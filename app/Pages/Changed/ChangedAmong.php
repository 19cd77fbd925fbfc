<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** What became otherwise for some: for people, or for observers, each counted with each of the learners they look in on. */
#[OA\Schema]
final readonly class ChangedAmong
{
    /**
     * @param  int  $touched  for whom anything became otherwise
     * @param  list<ChangedCount>  $totals
     * @param  list<ChangedCause>  $causes
     */
    public function __construct(
        #[OA\Property] public int $looked,
        #[OA\Property] public int $touched,
        #[OA\Property(items: new OA\Items(ref: ChangedCount::class))] public array $totals,
        #[OA\Property(items: new OA\Items(ref: ChangedCause::class))] public array $causes,
    ) {
    }
}

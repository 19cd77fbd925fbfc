<?php

declare(strict_types=1);

namespace App\Pages\School\Kept;

use OpenApi\Attributes as OA;

/** For how long the school keeps what of people. */
#[OA\Schema]
final readonly class KeptPage
{
    /** @param  list<KeptRow>  $rows */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: KeptRow::class))] public array $rows,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}

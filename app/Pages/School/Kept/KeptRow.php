<?php

declare(strict_types=1);

namespace App\Pages\School\Kept;

use App\School\Keeping\KeptKind;
use OpenApi\Attributes as OA;

/** For how long something is kept. */
#[OA\Schema]
final readonly class KeptRow
{
    /**
     * @param  ?int  $days  null: for good
     * @param  int  $least  days
     */
    public function __construct(
        #[OA\Property(enum: KeptKind::class)] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public ?int $days,
        #[OA\Property] public int $least,
        #[OA\Property] public bool $mayStay,
    ) {
    }
}

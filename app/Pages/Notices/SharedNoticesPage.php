<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use OpenApi\Attributes as OA;

/** The notices that many doors share. */
#[OA\Schema]
final readonly class SharedNoticesPage
{
    /** @param  list<SharedRow>  $notices  by name */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: SharedRow::class))] public array $notices,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}

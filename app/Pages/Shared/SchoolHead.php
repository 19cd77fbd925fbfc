<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use OpenApi\Attributes as OA;

/** The school, on every page. */
#[OA\Schema]
final readonly class SchoolHead
{
    /**
     * @param  string  $zone  IANA zone of all wall-clock times
     * @param  bool  $knowsReader  the reader's zone is known: times say whose they are where that is another
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $zone,
        #[OA\Property] public string $zoneName,
        #[OA\Property] public string $currency,
        #[OA\Property] public bool $knowsReader,
    ) {
    }
}

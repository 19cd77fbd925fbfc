<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use OpenApi\Attributes as OA;

/** Whom a row that is for a label holds up: whoever has that label must finish it before something else. */
#[OA\Schema]
final readonly class HeldUp
{
    /**
     * @param  list<string>  $labels  any of which its condition names
     * @param  string  $waits  title of what waits for it
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property] public string $waits,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\People\Data;

use OpenApi\Attributes as OA;

/** How somebody was erased. */
#[OA\Schema]
final readonly class ErasedTold
{
    /**
     * @param  string  $by  in words
     * @param  bool  $done  false: traces are being looked for
     * @param  list<string>  $gone  what went, with how much of it
     * @param  list<string>  $left  where they are still named
     */
    public function __construct(
        #[OA\Property] public string $when,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $done,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $gone,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $left,
    ) {
    }
}

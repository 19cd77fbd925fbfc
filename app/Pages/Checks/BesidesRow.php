<?php

declare(strict_types=1);

namespace App\Pages\Checks;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** Something found in what is not rules. */
#[OA\Schema]
final readonly class BesidesRow
{
    /** @param  ?string  $where  address of where it is put right; null: the course */
    public function __construct(
        #[OA\Property] public Sentence $what,
        #[OA\Property] public string $why,
        #[OA\Property] public ?string $where,
    ) {
    }
}

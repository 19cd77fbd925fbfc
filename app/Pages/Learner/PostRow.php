<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use OpenApi\Attributes as OA;

/** Something that was said. */
#[OA\Schema]
final readonly class PostRow
{
    /**
     * @param  string  $at  in words
     * @param  bool  $mine  this viewer may take it away
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $who,
        #[OA\Property] public string $at,
        #[OA\Property] public string $text,
        #[OA\Property] public bool $mine,
    ) {
    }
}

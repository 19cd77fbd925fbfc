<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;

/** What an item held before. */
#[OA\Schema]
final readonly class EarlierContent
{
    /**
     * @param  string  $until  when it was written anew, in words
     * @param  string  $who  wrote it; empty: nobody knows
     * @param  string  $text  how it begins
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $until,
        #[OA\Property] public string $who,
        #[OA\Property] public string $text,
    ) {
    }
}

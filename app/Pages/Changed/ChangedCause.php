<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** What one cause did. */
#[OA\Schema]
final readonly class ChangedCause
{
    /**
     * @param  string  $words  what it was
     * @param  int  $items  rows of people that it made otherwise in all
     * @param  list<ChangedCount>  $counts
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $words,
        #[OA\Property] public int $items,
        #[OA\Property(items: new OA\Items(ref: ChangedCount::class))] public array $counts,
    ) {
    }
}

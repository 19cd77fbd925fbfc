<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use OpenApi\Attributes as OA;

/** What a rehearsal foretold, beside what came. */
#[OA\Schema]
final readonly class ForetoldTold
{
    /**
     * @param  string  $made  when it was begun
     * @param  string  $for  of which instant it told
     * @param  list<ForetoldRow>  $rows
     * @param  list<ChangedCause>  $why  what happened in between to those of whom it was otherwise
     * @param  list<ForetoldRow>  $observerRows  the same of observers
     * @param  list<ChangedCause>  $observerWhy
     */
    public function __construct(
        #[OA\Property] public string $made,
        #[OA\Property] public string $for,
        #[OA\Property] public bool $counting,
        #[OA\Property(items: new OA\Items(ref: ForetoldRow::class))] public array $rows,
        #[OA\Property(items: new OA\Items(ref: ChangedCause::class))] public array $why,
        #[OA\Property(items: new OA\Items(ref: ForetoldRow::class))] public array $observerRows,
        #[OA\Property(items: new OA\Items(ref: ChangedCause::class))] public array $observerWhy,
    ) {
    }
}

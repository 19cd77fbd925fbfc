<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What became otherwise for whoever holds nothing. */
#[OA\Schema]
final readonly class ChangedKind
{
    /** @param  list<Sentence>  $lines */
    public function __construct(
        #[OA\Property] public string $who,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $lines,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What a publication does to one kind of viewer. */
#[OA\Schema]
final readonly class KindRow
{
    /**
     * @param  list<Sentence>  $lines  one a kind of effect
     */
    public function __construct(
        #[OA\Property] public string $who,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $lines,
    ) {
    }
}

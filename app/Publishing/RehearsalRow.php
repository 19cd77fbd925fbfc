<?php

declare(strict_types=1);

namespace App\Publishing;

use OpenApi\Attributes as OA;

/** What a publication does on one item. */
#[OA\Schema]
final readonly class RehearsalRow
{
    /**
     * @param  string  $item  its key
     * @param  list<EffectCount>  $effects  those that touch anybody
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public string $title,
        #[OA\Property(items: new OA\Items(ref: EffectCount::class))] public array $effects,
    ) {
    }
}

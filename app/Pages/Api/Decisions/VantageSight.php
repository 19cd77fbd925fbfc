<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use App\Sightlines\Vantages\Vantage;
use OpenApi\Attributes as OA;

/** What is seen from one vantage. */
#[OA\Schema]
final readonly class VantageSight
{
    /** @param  list<ItemDecision>  $items  in reading order */
    public function __construct(
        #[OA\Property] public Vantage $vantage,
        #[OA\Property(items: new OA\Items(ref: ItemDecision::class))] public array $items,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;

/** What one of many people may see. */
#[OA\Schema]
final readonly class PersonDecisions
{
    /**
     * @param  int  $person  id
     * @param  list<ItemDecision>  $items  in reading order
     */
    public function __construct(#[OA\Property] public int $person, #[OA\Property(items: new OA\Items(ref: ItemDecision::class))] public array $items)
    {
    }
}

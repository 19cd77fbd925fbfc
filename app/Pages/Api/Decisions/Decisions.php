<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;

/** What one viewer may see of a course at an instant. */
#[OA\Schema]
final readonly class Decisions
{
    /**
     * @param  ?int  $person  id of whoever looks; null where it is nobody in particular
     * @param  ?string  $holds_until  the first instant at which time alone will change any of it; null: none
     * @param  int  $kept_for  seconds for which the answer may be kept: until then only somebody's act can have changed it
     * @param  list<ItemDecision>  $items  in reading order
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property] public ?int $person,
        #[OA\Property(format: 'date-time')] public ?string $holds_until,
        #[OA\Property] public int $kept_for,
        #[OA\Property(items: new OA\Items(ref: ItemDecision::class))] public array $items,
    ) {
    }
}

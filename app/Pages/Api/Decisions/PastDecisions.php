<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;

/** What one viewer was answered of a course at an instant that is past. */
#[OA\Schema]
final readonly class PastDecisions
{
    /**
     * @param  int  $revision  number of the rules that were live
     * @param  string  $whole_since  from when on the ledger knows all; of what was before it tells what the school's history can
     * @param  bool  $was_there  whether they were known to the school
     * @param  list<ItemDecision>  $items  in reading order, as it was known then
     * @param  ?list<ItemDecision>  $known_now  the same with what was entered later and counts from before; null: nothing was
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property(format: 'date-time')] public string $at,
        #[OA\Property] public ?int $person,
        #[OA\Property] public int $revision,
        #[OA\Property(format: 'date-time')] public string $whole_since,
        #[OA\Property] public bool $was_there,
        #[OA\Property(items: new OA\Items(ref: ItemDecision::class))] public array $items,
        #[OA\Property(items: new OA\Items(ref: ItemDecision::class))] public ?array $known_now,
    ) {
    }
}

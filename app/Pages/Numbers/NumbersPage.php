<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use OpenApi\Attributes as OA;

/** A course in numbers, for charts and as tables. */
#[OA\Schema]
final readonly class NumbersPage
{
    /**
     * @param  string  $course  its key
     * @param  bool  $counting  whether people are still looked at
     * @param  int  $looked  so many of them are
     * @param  list<PlaceTold>  $places  in reading order
     * @param  list<WhereRow>  $where  as each of the last weeks began, and now
     * @param  list<OpensRow>  $opens  in this week and those to come
     * @param  ?list<TrialsRow>  $trials  in the last weeks and this one; null: the course has none
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $live,
        #[OA\Property] public bool $counting,
        #[OA\Property] public int $looked,
        #[OA\Property] public int $of,
        #[OA\Property(items: new OA\Items(ref: PlaceTold::class))] public array $places,
        #[OA\Property(items: new OA\Items(ref: WhereRow::class))] public array $where,
        #[OA\Property(items: new OA\Items(ref: OpensRow::class))] public array $opens,
        #[OA\Property(nullable: true, items: new OA\Items(ref: TrialsRow::class))] public ?array $trials,
    ) {
    }
}
